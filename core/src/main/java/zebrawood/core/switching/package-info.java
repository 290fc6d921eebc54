/**
 * In which order is a machine switched on, off, and on again after a power cut? Start at
 * {@link zebrawood.core.switching.SwitchingOrder}.
 */
package zebrawood.core.switching;
