/** Where is the beam narrowest, and how sure are we? Start at {@link zebrawood.core.focus.FocusRamp}. */
package zebrawood.core.focus;
