/** May the machine stand in this room? Start at {@link zebrawood.core.site.SiteClimate}. */
package zebrawood.core.site;
