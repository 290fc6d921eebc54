/**
 * What was done with a machine, and how did it come out? Start at {@link zebrawood.core.work.WorkResult}; what was
 * known of the machine at that moment goes along as {@link zebrawood.core.work.TakenAlong}.
 */
package zebrawood.core.work;
