/**
 * Tables as loggers and data sheets write them: {@link zebrawood.json.table.DataFile} finds out encoding and separator.
 */
package zebrawood.json.table;
