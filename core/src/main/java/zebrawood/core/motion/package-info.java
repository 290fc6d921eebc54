/**
 * Motion text for controllers with numbered settings: {@link zebrawood.core.motion.MotionText} writes it,
 * {@link zebrawood.core.motion.Replay} runs it line by line and tells what would go wrong. Nothing here sends anything.
 */
package zebrawood.core.motion;
