/** What must be seen to be so before anything fires? Start at {@link zebrawood.core.safety.FirstLight}. */
package zebrawood.core.safety;
