/**
 * What was different between two entries of a machine? Start at {@link zebrawood.desktop.difference.DifferencePage}.
 */
package zebrawood.desktop.difference;
