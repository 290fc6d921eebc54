/**
 * The breaker's bench: what hangs on it, stacked on what it carries. Start at
 * {@link zebrawood.benches.mains.CircuitBench}.
 */
package zebrawood.benches.mains;
