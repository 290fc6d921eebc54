/** What does the program keep to, in figures? Start at {@link zebrawood.benchmarks.Bench}: a word for each. */
package zebrawood.benchmarks;
