/**
 * What is a procedure, and what comes out of one? Start at {@link zebrawood.core.procedure.Procedure}: it turns
 * readings into a finding with a verdict and instructions.
 */
package zebrawood.core.procedure;
