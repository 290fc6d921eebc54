/**
 * How are benches and windows tried? Start at {@link zebrawood.testsupport.Hands} for keys in and words out,
 * {@link zebrawood.testsupport.BenchSeat} for one bench in a window of its own, and {@link zebrawood.testsupport.Drawn}
 * for what a drawing puts where.
 */
package zebrawood.testsupport;
