/** What is known of a machine before anything is measured? Start at {@link zebrawood.core.machine.Plate}. */
package zebrawood.core.machine;
