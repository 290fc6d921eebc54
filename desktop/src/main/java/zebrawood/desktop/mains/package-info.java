/**
 * The breaker's bench: what hangs on it, stacked on what it carries. Start at {@link zebrawood.desktop.mains.CircuitBench}.
 */
package zebrawood.desktop.mains;
