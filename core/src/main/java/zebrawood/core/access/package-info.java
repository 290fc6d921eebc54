/**
 * The way in: openings, corners, the room, the floor. Start at {@link zebrawood.core.access.SiteAccess}; how a body
 * gets round a corner is {@link zebrawood.core.access.Corner}.
 */
package zebrawood.core.access;
