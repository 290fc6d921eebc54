/** How is a machine's Route shown, with the stop one is at? Start at {@link zebrawood.desktop.route.RoutePage}. */
package zebrawood.desktop.route;
