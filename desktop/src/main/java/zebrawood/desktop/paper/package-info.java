/**
 * Pages of a PDF that can be read aloud: text, tables and drawings. Start at {@link zebrawood.desktop.paper.PageFlow}.
 */
package zebrawood.desktop.paper;
