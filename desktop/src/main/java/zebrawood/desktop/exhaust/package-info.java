/**
 * The extraction's bench: the run as a chain with the pressure along it, and where fan and run meet. Start at
 * {@link zebrawood.desktop.exhaust.ExhaustBench}.
 */
package zebrawood.desktop.exhaust;
