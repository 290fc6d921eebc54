/** What was done with a machine, and how did it come out? Start at {@link zebrawood.desktop.work.WorkPage}. */
package zebrawood.desktop.work;
