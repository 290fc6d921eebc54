/**
 * What an extraction draws: ducts, bends, filters and a fan, and when a filter is to be changed. Start at
 * {@link zebrawood.core.exhaust.ExhaustDuct}; the pressure that a run of ducts takes is {@link zebrawood.core.exhaust.Layout}'s.
 */
package zebrawood.core.exhaust;
