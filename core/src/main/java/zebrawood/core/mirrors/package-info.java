/**
 * Which mirror, which screw, how far, and where to shoot next? Start at {@link zebrawood.core.mirrors.MirrorPlan},
 * which chooses; {@link zebrawood.core.mirrors.MirrorNearFar} and {@link zebrawood.core.mirrors.MirrorResponse} are
 * what a person can check by hand.
 *
 * <p><b>The model.</b> Coordinates as seen at the head. On a card at the head, with the gantry g from mirror 1 and the
 * head d from mirror 2,
 *
 * <pre>{@code mark = o + e (g + d) + a d + rails(g, d) + noise,    e = e0 + G1 m1,    a = a0 + G2 m2}</pre>
 *
 * with o where the beam meets mirror 1, e its angle on the Y run and a what mirror 2 adds; {@code G1}, {@code G2} the 2
 * x 2 effects of the screws, mrad a turn, and m how far each mount followed its screws. A card at mirror 2 shows
 * {@code S (o + e g)}, where S turns right into left, as a mirror does. The four corners are true when e and e + a are
 * small; o no screw changes. A mount with backlash follows by the play operator ({@code Turned}). Small angles: the
 * error against a ray trace is below 0.02 mm for 8 mrad on 1.5 m.
 *
 * <p><b>What is believed</b> ({@code Belief}): a sum of Gaussians, one for each way in which the four screws may act
 * (either screw to either side, either way round, the upright one with or without cos 45, and none of these), each
 * followed by an extended Kalman filter over all that is not known, and weighted by how well it foretold the marks
 * (multiple model estimation; Bar-Shalom, Li and Kirubarajan, Estimation with Applications to Tracking and Navigation,
 * 11.6). Two more looks linearise each about what it came to. The bound of the corners is taken from points spread like
 * that sum.
 *
 * <p><b>What is chosen</b> ({@code Planner}): turns are cheap and shots are not. Turns that take away most of what is
 * wrong are made before the next shot ({@code Correction}: least squares over all guesses, the doubt of a screw's
 * effect as its price). Where it is not known which way, a trial turns several screws at once by amounts that tell
 * every way of mounting from every other by one mark ({@code Trial}, after Bhattacharyya's bound). The place of the
 * next shot is the one after which the work is most likely done, else the one that leaves the least doubt. Every screw
 * comes to its place clockwise, so that its play is taken up.
 *
 * <p><b>Faults</b> ({@code Faults}): where no sound machine explains the marks they are read again under each fault,
 * and the likeliest is named once it is far enough ahead.
 */
package zebrawood.core.mirrors;
