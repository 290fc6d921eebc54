/**
 * What lies on the technician's desk while the window is open: the logbook, how the machines stand, units, ground,
 * initials? Start at {@link zebrawood.desktop.desk.Desk}.
 */
package zebrawood.desktop.desk;
