/**
 * Where do entries stand, and has anything been changed? Start at {@link zebrawood.logbook.store.Logbook} for keeping,
 * and {@link zebrawood.logbook.store.Verification} for checking.
 */
package zebrawood.logbook.store;
