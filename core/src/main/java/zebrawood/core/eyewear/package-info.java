/**
 * What a beam can do to an eye, and which eyewear stands against it: limits after IEC 60825-1:2014. Start at
 * {@link zebrawood.core.eyewear.Eyewear}; {@link zebrawood.core.eyewear.Register} weighs what the shop owns.
 */
package zebrawood.core.eyewear;
