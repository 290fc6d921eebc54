/** Where the height axis goes for a stock: {@link zebrawood.core.height.ZPlan}. */
package zebrawood.core.height;
