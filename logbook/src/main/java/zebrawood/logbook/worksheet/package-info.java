/** How are worksheets solved, a line in and a line out? Start at {@link zebrawood.logbook.worksheet.Solver}. */
package zebrawood.logbook.worksheet;
