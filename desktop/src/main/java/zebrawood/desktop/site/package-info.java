/**
 * How is the room's climate read and drawn? Start at {@link zebrawood.desktop.site.ClimateBench}.
 */
package zebrawood.desktop.site;

