/**
 * How are the pictures in the README made? Start at {@link zebrawood.desktop.shots.Tour}: it goes through every main
 * view of the demo shop.
 */
package zebrawood.desktop.shots;
