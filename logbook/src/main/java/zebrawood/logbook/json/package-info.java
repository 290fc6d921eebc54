/**
 * How does JSON become a record, and a record JSON? Start at {@link zebrawood.logbook.json.Binder}; it is the only
 * way in, and refuses all that a lenient mapping would let through. {@link zebrawood.logbook.json.RecordWriter} is
 * the only way out.
 */
package zebrawood.logbook.json;
