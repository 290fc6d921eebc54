/**
 * How does a machine stand, what is shut, what is due, what comes next? Start at {@link zebrawood.core.route.Route}.
 * All of it follows from entries and the time handed in, nothing else.
 */
package zebrawood.core.route;
