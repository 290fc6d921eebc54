/**
 * What does a typed amount mean, and how is an amount shown? Start at {@link zebrawood.core.units.Typed} for reading
 * and {@link zebrawood.core.units.Amount} for showing.
 */
package zebrawood.core.units;
