/**
 * How is a ramp line measured and drawn? Start at {@link zebrawood.desktop.focus.RampBench}.
 */
package zebrawood.desktop.focus;

