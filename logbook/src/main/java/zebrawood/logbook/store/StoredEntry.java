package zebrawood.logbook.store;

/**
 * An entry as it is stored, for taking it out and back in.
 *
 * @param position in the shop chain
 * @param hash of its bytes
 * @param bytes as they were written once
 */
public record StoredEntry(long position, String hash, byte[] bytes) {

    /**
     * How long an entry may be, bytes: longer than any worksheet that is answered. What is recorded is never longer, so
     * that what an export wrote is always taken by an import.
     */
    public static final int LONGEST_BYTES = 12 * 1024 * 1024;
}
