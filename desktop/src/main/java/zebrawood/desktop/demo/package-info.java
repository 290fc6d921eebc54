/**
 * How is the demo shop made? Start at {@link zebrawood.desktop.demo.DemoShop}: two years of an invented workshop, every
 * entry made from readings through the same procedures as a person's.
 */
package zebrawood.desktop.demo;
