/**
 * Is everything there that came with a machine, whole, and as it should be before it is switched on? Start at
 * {@link zebrawood.core.inventory.Inventory}; what is missing becomes open points by
 * {@link zebrawood.core.inventory.LackPoints}.
 */
package zebrawood.core.inventory;
