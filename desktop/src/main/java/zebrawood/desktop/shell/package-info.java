/**
 * What stands round every view: the frame, the keys, the ways from one view to another? Start at
 * {@link zebrawood.desktop.shell.Shell}.
 */
package zebrawood.desktop.shell;
