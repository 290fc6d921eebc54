/** How is a ramp line measured and drawn? Start at {@link zebrawood.benches.focus.RampBench}. */
package zebrawood.benches.focus;
