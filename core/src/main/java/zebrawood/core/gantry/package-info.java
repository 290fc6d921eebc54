/**
 * A pretend machine: where does its beam go, whatever its mirrors are like? Start at
 * {@link zebrawood.core.gantry.Gantry}.
 */
package zebrawood.core.gantry;
