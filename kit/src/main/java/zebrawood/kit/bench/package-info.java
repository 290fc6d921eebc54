/**
 * What does every bench share? A bench draws, takes readings and shows; it judges and computes nothing. Start at
 * {@link zebrawood.kit.bench.Bench} for what a new one has to bring, and {@link zebrawood.desktop.stop.StopPage} for
 * what it gets.
 */
package zebrawood.kit.bench;
