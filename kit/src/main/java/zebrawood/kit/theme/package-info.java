/**
 * Which colours, sizes and fonts? They stand in the CSS files beside the program; start at
 * {@link zebrawood.kit.theme.Look}, which reads them for drawings.
 */
package zebrawood.kit.theme;
