/** Does it come out alike all over the bed? Start at {@link zebrawood.benches.evenness.NineBench}. */
package zebrawood.benches.evenness;
