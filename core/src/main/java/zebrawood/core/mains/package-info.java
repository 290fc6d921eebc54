/** Does the circuit carry it? Start at {@link zebrawood.core.mains.SiteCircuit}. */
package zebrawood.core.mains;
