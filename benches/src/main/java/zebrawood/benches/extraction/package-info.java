/**
 * The extraction's bench: the run as a chain with the pressure along it, and where fan and run meet. Start at
 * {@link zebrawood.benches.extraction.ExtractionBench}.
 */
package zebrawood.benches.extraction;
