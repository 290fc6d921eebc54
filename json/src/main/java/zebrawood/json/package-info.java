/**
 * How does JSON become a record, and a record JSON? Start at {@link zebrawood.json.Binder}; it is the only way in, and
 * refuses all that a lenient mapping would let through. {@link zebrawood.json.RecordWriter} is the only way out.
 */
package zebrawood.json;
