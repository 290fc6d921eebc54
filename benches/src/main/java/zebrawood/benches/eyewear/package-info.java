/**
 * The room from above with how far the beam reaches, and what must be marked on the eyewear. Start at
 * {@link zebrawood.benches.eyewear.EyewearBench}.
 */
package zebrawood.benches.eyewear;
