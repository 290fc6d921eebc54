/**
 * How does a whole logbook go out, and back into an empty shop? Start at {@link zebrawood.logbook.bundle.Export} and
 * {@link zebrawood.logbook.bundle.Import}.
 */
package zebrawood.logbook.bundle;
