package zebrawood.logbook.bundle;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Path;
import java.util.OptionalLong;

/** How long a zip's list of its files is, read from its end, as the format states it. */
final class ZipList {

    private static final int END = 0x06054b50;
    private static final int END_64 = 0x06064b50;
    private static final int LOCATOR_64 = 0x07064b50;
    private static final int END_LENGTH = 22;
    private static final int LOCATOR_LENGTH = 20;
    private static final int LONGEST_COMMENT = 0xFFFF;

    private ZipList() {}

    /** Bytes of the list; empty where the file has no end of a zip. */
    static OptionalLong length(Path file) throws IOException {
        try (RandomAccessFile zip = new RandomAccessFile(file.toFile(), "r")) {
            int tail = (int) Math.min(zip.length(), END_LENGTH + LONGEST_COMMENT + LOCATOR_LENGTH);
            byte[] end = new byte[tail];
            zip.seek(zip.length() - tail);
            zip.readFully(end);
            ByteBuffer bytes = ByteBuffer.wrap(end).order(ByteOrder.LITTLE_ENDIAN);
            for (int at = tail - END_LENGTH; at >= 0; at--) {
                if (bytes.getInt(at) == END) {
                    long listed = bytes.getInt(at + 12) & 0xFFFF_FFFFL;
                    int locator = at - LOCATOR_LENGTH;
                    if (listed == 0xFFFF_FFFFL && locator >= 0 && bytes.getInt(locator) == LOCATOR_64) {
                        return length64(zip, bytes.getLong(locator + 8));
                    }
                    return OptionalLong.of(listed);
                }
            }
            return OptionalLong.empty();
        }
    }

    private static OptionalLong length64(RandomAccessFile zip, long at) throws IOException {
        byte[] end = new byte[56];
        if (at < 0 || at > zip.length() - end.length) {
            return OptionalLong.empty();
        }
        zip.seek(at);
        zip.readFully(end);
        ByteBuffer bytes = ByteBuffer.wrap(end).order(ByteOrder.LITTLE_ENDIAN);
        long listed = bytes.getLong(40);
        return bytes.getInt(0) == END_64 ? OptionalLong.of(listed < 0 ? Long.MAX_VALUE : listed) : OptionalLong.empty();
    }
}
