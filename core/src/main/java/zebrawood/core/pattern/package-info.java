/**
 * Marks to burn: lines with their places, as drawings (SVG, DXF) at true size. {@link zebrawood.core.pattern.Patterns}
 * makes those of the focus; {@link zebrawood.core.motion.MotionText} makes motion text of them.
 */
package zebrawood.core.pattern;
