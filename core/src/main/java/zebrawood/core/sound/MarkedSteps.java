package zebrawood.core.sound;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Where in a recording the steps of a ladder were marked, told by the pauses between them, and how loud each was over
 * what the room sounds like in the pauses. Bands of pitch count by how much they change between marking and pause, so
 * that the hum of a fan tells nothing.
 */
public final class MarkedSteps {

    /** no step of a ladder is shorter, and no pause, s */
    private static final double LEAST_STEP_S = 0.3;

    private static final double LEAST_PAUSE_S = 0.2;
    /** over which levels are smoothed, s */
    private static final double SMOOTH_S = 0.2;
    /** of the way from the quietest to the loudest: what is over it is marking */
    private static final double OVER = 0.12;
    /** at both ends of a step as much is left out of its level */
    private static final double ENDS = 0.1;
    /** a step that is fainter than the background by more than this is as good as silent, dB */
    private static final double FAINTEST_DB = -20;
    /** louder than the pauses by so many standard errors is no chance, though the loudest stretches were looked for */
    private static final double NO_CHANCE = 6;

    private final Spectrogram sound;
    private final double[] background;
    private final double[] weight;
    private final double[] whole;
    private final double[] level;

    /** A step of a ladder, from when to when, s since the recording began. */
    public record Step(double fromS, double toS) {}

    /** Looks at a recording; that takes a moment. */
    public MarkedSteps(Spectrogram sound) {
        this.sound = sound;
        int bands = sound.bands();
        int columns = sound.columns();
        int smooth = Math.max(1, (int) Math.round(SMOOTH_S / sound.columnS()));
        background = new double[bands];
        weight = new double[bands];
        whole = new double[columns];
        for (int band = 0; band < bands; band++) {
            double[] smoothed = new double[columns];
            for (int column = 0; column < columns; column++) {
                smoothed[column] = sound.power(column, band);
            }
            smoothed = smoothed(smoothed, smooth);
            double[] sorted = smoothed.clone();
            Arrays.sort(sorted);
            double quiet = Math.max(Double.MIN_NORMAL, share(sorted, 0.15));
            double usual = share(sorted, 0.05);
            background[band] = quiet;
            // what changes by less than it trembles anyway tells nothing
            double change = (share(sorted, 0.9) - quiet) / quiet;
            double trembling = 2 * (quiet - usual) / quiet;
            weight[band] = Math.max(0, change - trembling - 0.1);
            // a bang is not heavier than the marks
            weight[band] = weight[band] / (1 + weight[band]);
            for (int column = 0; column < columns; column++) {
                whole[column] += weight[band] * sound.power(column, band) / quiet;
            }
        }
        double weights = Math.max(1e-9, Arrays.stream(weight).sum());
        for (int column = 0; column < columns; column++) {
            whole[column] /= weights;
        }
        level = smoothed(whole, smooth);
    }

    private static double share(double[] sorted, double share) {
        return sorted[(int) Math.min(sorted.length - 1, Math.round(share * (sorted.length - 1)))];
    }

    private static double[] smoothed(double[] levels, int over) {
        double[] sums = new double[levels.length + 1];
        for (int i = 0; i < levels.length; i++) {
            sums[i + 1] = sums[i] + levels[i];
        }
        double[] smoothed = new double[levels.length];
        for (int i = 0; i < levels.length; i++) {
            int from = Math.max(0, i - over / 2);
            int to = Math.min(levels.length, i + over / 2 + 1);
            smoothed[i] = (sums[to] - sums[from]) / (to - from);
        }
        return smoothed;
    }

    /** How loud it is at a column, as a multiple of the background. */
    public double level(int column) {
        return level[column];
    }

    /** Over which a level counts as marking, as a multiple of the background. */
    private double threshold() {
        double[] sorted = level.clone();
        Arrays.sort(sorted);
        double quiet = share(sorted, 0.1);
        return quiet + Math.max(0.1, OVER * (share(sorted, 0.95) - quiet));
    }

    /**
     * The steps that stand out most, in the order in which they were marked.
     *
     * @param count how many squares the ladder has, 1 to 40
     * @return so many, or fewer where the recording has no room for them
     */
    public List<Step> find(int count) {
        int columns = sound.columns();
        int leastStep = Math.max(1, (int) Math.ceil(LEAST_STEP_S / sound.columnS()));
        int leastPause = Math.max(1, (int) Math.ceil(LEAST_PAUSE_S / sound.columnS()));
        double over = threshold();
        double[] sums = new double[columns + 1];
        for (int i = 0; i < columns; i++) {
            // a bang weighs no more than a step that is plainly there
            sums[i + 1] = sums[i] + Math.max(-over, Math.min(4 * over, level[i] - over));
        }
        // best[k][i]: k steps that end before column i; the last one begins at begun[k][i], or none ends just there
        double[][] best = new double[count + 1][columns + 1];
        int[][] begun = new int[count + 1][columns + 1];
        for (int k = 1; k <= count; k++) {
            Arrays.fill(best[k], Double.NEGATIVE_INFINITY);
            double open = Double.NEGATIVE_INFINITY;
            int opened = -1;
            for (int i = 1; i <= columns; i++) {
                best[k][i] = best[k][i - 1];
                begun[k][i] = -1;
                int from = i - leastStep;
                if (from >= 0) {
                    double before =
                            k == 1 ? 0 : from < leastPause ? Double.NEGATIVE_INFINITY : best[k - 1][from - leastPause];
                    if (before - sums[from] > open) {
                        open = before - sums[from];
                        opened = from;
                    }
                    if (open + sums[i] > best[k][i]) {
                        best[k][i] = open + sums[i];
                        begun[k][i] = opened;
                    }
                }
            }
        }
        int k = count;
        while (k > 0 && best[k][columns] == Double.NEGATIVE_INFINITY) {
            k--;
        }
        List<Step> steps = new ArrayList<>();
        for (int i = columns; k > 0 && i > 0; ) {
            if (begun[k][i] < 0) {
                i--;
            } else {
                steps.add(0, new Step(begun[k][i] * sound.columnS(), i * sound.columnS()));
                i = begun[k][i] - leastPause;
                k--;
            }
        }
        return steps;
    }

    /** How loud a step is over the background of the pauses, dB. */
    public double levelDb(Step step) {
        double trim = ENDS * (step.toS() - step.fromS());
        int from = column(step.fromS() + trim);
        int to = Math.max(from + 1, column(step.toS() - trim));
        double sum = 0;
        double weights = 0;
        for (int band = 0; band < weight.length; band++) {
            double power = 0;
            for (int column = from; column < to; column++) {
                power += sound.power(column, band);
            }
            sum += weight[band] * (power / (to - from) / background[band] - 1);
            weights += weight[band];
        }
        return Math.max(FAINTEST_DB, 10 * Math.log10(Math.max(1e-9, sum / Math.max(1e-9, weights))));
    }

    private int column(double atS) {
        return (int) Math.max(0, Math.min(sound.columns() - 1, Math.round(atS / sound.columnS())));
    }

    /**
     * Whether each of these steps stands out of the pauses beside it by far more than the sound of the pauses trembles,
     * so that it is no chance.
     */
    public boolean isSure(List<Step> steps) {
        List<Piece> pauses = new ArrayList<>();
        List<Piece> marks = new ArrayList<>();
        double end = 0;
        for (Step step : steps) {
            pauses.add(piece(end, step.fromS()));
            marks.add(piece(step.fromS(), step.toS()));
            end = step.toS();
        }
        pauses.add(piece(end, sound.lengthS()));
        Piece quiet = pauses.stream().reduce(Piece::with).orElseThrow();
        double over = threshold();
        for (int i = 0; i < marks.size(); i++) {
            Piece mark = marks.get(i);
            boolean standsOut = mark.mean() > over && mark.isOver(quiet, quiet);
            boolean apart = i == 0 || pauses.get(i).mean() < over && mark.isOver(pauses.get(i), quiet);
            if (!standsOut || !apart) {
                return false;
            }
        }
        return !steps.isEmpty();
    }

    /** Levels of a stretch: how many, their sum and the sum of their squares. */
    private record Piece(int count, double sum, double squares) {
        private double mean() {
            return sum / Math.max(1, count);
        }

        private Piece with(Piece other) {
            return new Piece(count + other.count, sum + other.sum, squares + other.squares);
        }

        private double variance() {
            return Math.max(0, squares / Math.max(1, count) - mean() * mean());
        }

        /** Whether it is louder than another one, by what the quiet of the recording trembles. */
        private boolean isOver(Piece other, Piece quiet) {
            double error = Math.sqrt(quiet.variance() * (1.0 / Math.max(1, count) + 1.0 / Math.max(1, other.count)));
            return mean() - other.mean() > NO_CHANCE * error;
        }
    }

    private Piece piece(double fromS, double toS) {
        int to = column(toS);
        Piece piece = new Piece(0, 0, 0);
        for (int i = column(fromS); i < to; i++) {
            piece = piece.with(new Piece(1, whole[i], whole[i] * whole[i]));
        }
        return piece;
    }
}
