/** The half minute before a job, in the window. Start at {@link zebrawood.desktop.daily.StartSheet}. */
package zebrawood.desktop.daily;
