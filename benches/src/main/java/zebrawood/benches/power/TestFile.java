package zebrawood.benches.power;

import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import zebrawood.core.entry.NewAttachment;

/**
 * The job that is burned for a test: kept with the entry, and told again by its hash.
 *
 * @param kept its bytes
 * @param name of the file
 * @param sha256 64 hexadecimal digits
 */
record TestFile(NewAttachment kept, String name, String sha256) {

    /** @throws IOException where it cannot be read */
    static TestFile of(File file) throws IOException {
        try (InputStream in = Files.newInputStream(file.toPath())) {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            new DigestInputStream(in, digest).transferTo(OutputStream.nullOutputStream());
            return new TestFile(
                    new NewAttachment(file.getName(), () -> Files.newInputStream(file.toPath())),
                    file.getName(),
                    HexFormat.of().formatHex(digest.digest()));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
