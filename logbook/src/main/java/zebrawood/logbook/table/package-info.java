/** Tables as loggers and data sheets write them: {@link zebrawood.logbook.table.DataFile} finds out encoding and separator. */
package zebrawood.logbook.table;
