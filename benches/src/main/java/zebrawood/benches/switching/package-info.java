/**
 * The bench of the start-up order: a strip that is followed with the space bar, and its steps as lines of text. The
 * usual order of each family stands in {@code orders.json}. Start at {@link zebrawood.benches.switching.OrderBench}.
 */
package zebrawood.benches.switching;
