/**
 * What has happened to a machine, and what is to be done that no stop says? Start at
 * {@link zebrawood.desktop.event.EventSheet} and {@link zebrawood.desktop.event.PointSheets}.
 */
package zebrawood.desktop.event;
