/** How is the room's climate read and drawn? Start at {@link zebrawood.benches.site.ClimateBench}. */
package zebrawood.benches.site;
