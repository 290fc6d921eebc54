/**
 * Same settings, other day, other result: what was different? Start at {@link zebrawood.core.difference.Comparison}.
 */
package zebrawood.core.difference;
