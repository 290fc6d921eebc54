/**
 * Pieces of pages that benches and desk share: where a bench stands, what is pressed, drawn or chosen, words and
 * clipboard.
 */
package zebrawood.kit.view;
