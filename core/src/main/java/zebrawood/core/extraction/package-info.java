/**
 * What an extraction draws: ducts, bends, filters and a fan, and when a filter is to be changed. Start at
 * {@link zebrawood.core.extraction.Extraction}; the pressure that a run of ducts takes is
 * {@link zebrawood.core.extraction.Layout}'s.
 */
package zebrawood.core.extraction;
