/**
 * The bench of the inventory: a list gone down with the space bar, a tray with numbered places, a fibre's bend. What is
 * looked for on each family stands in {@code parts.json}. Start at {@link zebrawood.benches.inventory.InventoryBench}.
 */
package zebrawood.benches.inventory;
