/**
 * The plan of a visit, drawn as a day, worked out anew as entries arrive. Start at
 * {@link zebrawood.desktop.visit.VisitPage}.
 */
package zebrawood.desktop.visit;
