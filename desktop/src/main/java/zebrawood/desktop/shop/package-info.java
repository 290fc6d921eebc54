/** How do all machines stand, and what comes next? Start at {@link zebrawood.desktop.shop.ShopPage}. */
package zebrawood.desktop.shop;
