package zebrawood.logbook.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** Files and folders of a shop: made so that only their owner can read them, and safe on the disk where that counts. */
public final class PrivateFiles {

    private static final boolean POSIX =
            FileSystems.getDefault().supportedFileAttributeViews().contains("posix");

    private PrivateFiles() {}

    private static FileAttribute<?>[] only(String owner) {
        return POSIX
                ? new FileAttribute<?>[] {
                    PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString(owner + "------"))
                }
                : new FileAttribute<?>[0];
    }

    /** Makes a folder for its owner alone, and those above it as the system does; one that is there stays as it is. */
    public static void createFolder(Path folder) throws IOException {
        if (Files.isDirectory(folder)) {
            return;
        }
        Path above = folder.toAbsolutePath().getParent();
        if (above != null) {
            Files.createDirectories(above);
        }
        try {
            Files.createDirectory(folder, only("rwx"));
        } catch (FileAlreadyExistsException madeMeanwhile) {
            if (!Files.isDirectory(folder)) {
                throw madeMeanwhile;
            }
        }
    }

    /** Makes an empty file for its owner alone where there is none. */
    public static void createIfMissing(Path file) throws IOException {
        try {
            Files.createFile(file, only("rw-"));
        } catch (FileAlreadyExistsException there) {
            // as it is
        }
    }

    /** Returns once a file, or what a folder lists, is on the disk. */
    static void sync(Path path) throws IOException {
        boolean isFolder = Files.isDirectory(path);
        if (isFolder && !POSIX) {
            return;
        }
        try (FileChannel channel =
                FileChannel.open(path, isFolder ? StandardOpenOption.READ : StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }

    /** Deletes a folder and all in it; links are deleted, not followed. Nothing happens where there is none. */
    public static void delete(Path folder) throws IOException {
        if (!Files.exists(folder)) {
            return;
        }
        List<Path> inside;
        try (Stream<Path> files = Files.walk(folder)) {
            inside = files.sorted(Comparator.reverseOrder()).toList();
        }
        for (Path each : inside) {
            Files.deleteIfExists(each);
        }
    }
}
