package zebrawood.core.level;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/** Every stack that a drawer of shims can make, and the one nearest to a thickness. */
final class ShimDrawer {

    /** sums as near as this are equally near, mm */
    private static final double TIE = 1e-9;

    /** Fewer pieces, then the smaller sum, then the stack that is thicker where the two first differ. */
    private static final Comparator<Stack> BETTER = Comparator.comparingInt((Stack stack) -> stack.pieces().length)
            .thenComparing((one, other) ->
                    Math.abs(one.sum() - other.sum()) <= TIE ? 0 : Double.compare(one.sum(), other.sum()))
            .thenComparing((one, other) -> {
                for (int i = 0; i < one.pieces().length; i++) {
                    if (one.pieces()[i] != other.pieces()[i]) {
                        return Double.compare(other.pieces()[i], one.pieces()[i]);
                    }
                }
                return 0;
            });

    /** Pieces thick to thin, and what they come to. */
    private record Stack(double[] pieces, double sum) {}

    private final List<Stack> stacks = new ArrayList<>();

    /**
     * @param thicknesses of the drawer, mm; each is there as often as wanted
     * @param mostPieces on one mount
     */
    ShimDrawer(List<Double> thicknesses, int mostPieces) {
        double[] thickFirst = thicknesses.stream()
                .distinct()
                .sorted(Comparator.reverseOrder())
                .mapToDouble(Double::doubleValue)
                .toArray();
        add(thickFirst, 0, new double[mostPieces], 0);
        stacks.sort(Comparator.comparingDouble(Stack::sum));
    }

    private void add(double[] thickFirst, int from, double[] pieces, int many) {
        double[] stack = Arrays.copyOf(pieces, many);
        stacks.add(new Stack(stack, Arrays.stream(stack).sum()));
        if (many == pieces.length) {
            return;
        }
        for (int i = from; i < thickFirst.length; i++) {
            pieces[many] = thickFirst[i];
            add(thickFirst, i, pieces, many + 1);
        }
    }

    /** Thick to thin; empty where no shim at all is nearest. */
    List<Double> nearest(double thicknessMm) {
        int above = firstFrom(thicknessMm);
        double least = Double.POSITIVE_INFINITY;
        for (int i = Math.max(0, above - 1); i <= Math.min(above, stacks.size() - 1); i++) {
            least = Math.min(least, Math.abs(stacks.get(i).sum() - thicknessMm));
        }
        Stack best = null;
        for (int i = firstFrom(thicknessMm - least - TIE); i < stacks.size(); i++) {
            Stack stack = stacks.get(i);
            if (stack.sum() > thicknessMm + least + TIE) {
                break;
            }
            best = best == null || BETTER.compare(stack, best) < 0 ? stack : best;
        }
        return best == null ? List.of() : Arrays.stream(best.pieces()).boxed().toList();
    }

    /** The first stack that comes to so much or more; how many there are where none does. */
    private int firstFrom(double sum) {
        int from = 0;
        int to = stacks.size();
        while (from < to) {
            int middle = (from + to) >>> 1;
            if (stacks.get(middle).sum() < sum) {
                from = middle + 1;
            } else {
                to = middle;
            }
        }
        return from;
    }
}
