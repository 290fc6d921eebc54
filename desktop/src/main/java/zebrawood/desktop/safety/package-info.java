/** How is the first light gate passed, a bar at a time? Start at {@link zebrawood.desktop.safety.GatePage}. */
package zebrawood.desktop.safety;
