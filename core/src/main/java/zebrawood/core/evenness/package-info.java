/**
 * Whether it comes out the same all over the bed, and if not, why: {@link zebrawood.core.evenness.BedNine}. Patterns
 * are weighed by how well they explain what was read, after the Bayesian information criterion.
 */
package zebrawood.core.evenness;
