package zebrawood.core.entry;

/**
 * Readings or a finding that this program does not know, or whose parts it does not: those of a newer program, or of a
 * procedure that only another one has.
 *
 * @param json as it stands in the entry
 */
public record Unread(String json) {}
