/** How is a machine's plate filled in? Start at {@link zebrawood.desktop.machine.PlatePage}. */
package zebrawood.desktop.machine;
