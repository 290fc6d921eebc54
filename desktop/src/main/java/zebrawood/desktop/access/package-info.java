/**
 * The bench of the way in: what is passed on the way, and the room around the machine's place, drawn to scale. Start at
 * {@link zebrawood.desktop.access.AccessBench}; {@link zebrawood.desktop.access.WayPlan} lays the way out,
 * {@link zebrawood.desktop.access.RoomPlan} the room.
 */
package zebrawood.desktop.access;
