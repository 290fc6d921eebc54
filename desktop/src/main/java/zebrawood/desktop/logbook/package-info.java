/**
 * How is the logbook read? Start at {@link zebrawood.desktop.logbook.LogbookPage}; an opened entry is an
 * {@link zebrawood.desktop.logbook.EntryPaper}.
 */
package zebrawood.desktop.logbook;
