package zebrawood.logbook.store;

import zebrawood.core.entry.Entry;

/** An entry on the tape: its position in the shop chain, and whether a later one corrects it. */
public record TapeLine(long position, Entry entry, boolean corrected) {}
