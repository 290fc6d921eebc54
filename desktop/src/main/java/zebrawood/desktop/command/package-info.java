/**
 * What can be asked of the program without a window? Start at {@link zebrawood.desktop.command.Zebrawood}; each command
 * is a class of its own.
 */
package zebrawood.desktop.command;
