/**
 * Which of the shop's eyewear is good for which machine, and the notice for its door. Start at
 * {@link zebrawood.desktop.eyewear.RegisterPage}.
 */
package zebrawood.desktop.eyewear;
