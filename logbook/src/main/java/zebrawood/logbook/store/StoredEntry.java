package zebrawood.logbook.store;

/**
 * An entry as it is stored, for taking it out and back in.
 *
 * @param position in the shop chain
 * @param hash of its bytes
 * @param bytes as they were written once
 */
public record StoredEntry(long position, String hash, byte[] bytes) {}
