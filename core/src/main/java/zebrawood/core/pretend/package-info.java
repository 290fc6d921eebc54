/**
 * A pretend bed, head and focus: what stands there is known to nobody who measures it, so that practice and proofs have
 * the whole way from reading to turned screw. Nothing that judges sees this package.
 */
package zebrawood.core.pretend;
