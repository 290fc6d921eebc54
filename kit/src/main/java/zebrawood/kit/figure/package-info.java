/**
 * How is a thing drawn, whatever it is drawn on? Start at {@link zebrawood.kit.figure.Figure}: it draws with a
 * {@link zebrawood.kit.figure.Pen}, and there is a pen for the window, for PDF and for SVG.
 */
package zebrawood.kit.figure;
