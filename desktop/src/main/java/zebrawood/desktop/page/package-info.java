/**
 * What stands in the window, and what can be done on it? Start at {@link zebrawood.desktop.page.Page} for what keys
 * reach, and at {@link zebrawood.desktop.page.FramedPage} for what the window says around it.
 */
package zebrawood.desktop.page;
