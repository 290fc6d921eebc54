/**
 * The bench of the way in: what is passed on the way, and the room around the machine's place, drawn to scale. Start at
 * {@link zebrawood.benches.access.AccessBench}; {@link zebrawood.benches.access.WayPlan} lays the way out,
 * {@link zebrawood.benches.access.RoomPlan} the room.
 */
package zebrawood.benches.access;
