/** Where does the height axis go for this stock? Start at {@link zebrawood.benches.height.ZBench}. */
package zebrawood.benches.height;
