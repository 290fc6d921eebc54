/**
 * What stands in the logbook? Start at {@link zebrawood.core.entry.Entry}. Entries are written once and never changed;
 * a correction is a new entry that names the old one.
 */
package zebrawood.core.entry;
