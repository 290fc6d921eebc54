/**
 * The best gap of a machine by every school that was asked, on one axis with its doubt. Start at
 * {@link zebrawood.desktop.focus.FocusPage}.
 */
package zebrawood.desktop.focus;
