package zebrawood.core.picture;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.hipparchus.analysis.MultivariateMatrixFunction;
import org.hipparchus.analysis.MultivariateVectorFunction;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.special.Erf;

/**
 * The shades across a burned line, and where its edges are: a dark band with two edges of one blur, on a surface whose
 * light may change across it, with a halo of char that fades away from both edges. All of it is fitted at once, so that
 * neither blur nor halo makes the line wider.
 */
final class LineProfile {

    private static final int BACKGROUND = 0;
    private static final int SLOPE = 1;
    private static final int DEPTH = 2;
    private static final int MIDDLE = 3;
    private static final int WIDTH = 4;
    private static final int BLUR = 5;
    private static final int HALO = 6;
    private static final int FADES = 7;
    private static final int COUNT = 8;
    /** of them are a place's own; the others are the same all along a line */
    private static final int OWN = BLUR;

    private static final int SAME = COUNT - OWN;
    /** no picture is sharper, px */
    private static final double LEAST_BLUR = 0.2;

    private final double[] shades;
    private final double step;

    /** Where a line lies across the place it was looked for, px, and how many times brighter the surface is. */
    record Edges(double middlePx, double widthPx, double contrast, Seen seen) {}

    /**
     * What is the same all along a line: how blurred the picture is, px, how dark the halo is, as a share of the line,
     * and over how many px it fades away.
     */
    record Seen(double blurPx, double halo, double fadesPx) {

        /** The middle one of each. */
        static Seen middle(List<Seen> seen) {
            return new Seen(
                    middle(seen.stream().mapToDouble(Seen::blurPx)),
                    middle(seen.stream().mapToDouble(Seen::halo)),
                    middle(seen.stream().mapToDouble(Seen::fadesPx)));
        }

        private static double middle(DoubleStream values) {
            double[] sorted = values.sorted().toArray();
            return sorted[sorted.length / 2];
        }
    }

    /**
     * @param shades across the line, evenly spaced about its middle
     * @param step from one to the next, px
     */
    LineProfile(double[] shades, double step) {
        this.shades = shades.clone();
        this.step = step;
    }

    private double place(int i) {
        return (i - (shades.length - 1) / 2.0) * step;
    }

    /**
     * The edges; empty where there is no line to be seen.
     *
     * @param seen what is the same all along the line, where it is known already
     */
    Optional<Edges> edges(Optional<Seen> seen) {
        return begin(seen)
                .flatMap(start ->
                        fitted(start, seen.isPresent() ? OWN : COUNT).flatMap(fit -> found(fit, start[DEPTH])));
    }

    /** Where a fit begins: what is seen at first sight; empty where there is no line. */
    private Optional<double[]> begin(Optional<Seen> seen) {
        double[] sorted = shades.clone();
        Arrays.sort(sorted);
        double light = sorted[(int) (0.8 * (sorted.length - 1))];
        double dark = sorted[0];
        if (light - dark < 8) {
            return Optional.empty();
        }
        // the widest stretch that is darker than halfway
        double half = (light + dark) / 2;
        int from = 0;
        int to = 0;
        for (int i = 0; i < shades.length; i++) {
            int end = i;
            while (end < shades.length && shades[end] < half) {
                end++;
            }
            if (end - i > to - from) {
                from = i;
                to = end;
            }
            i = end;
        }
        if (from == 0 || to >= shades.length) {
            return Optional.empty();
        }
        double[] start = new double[COUNT];
        start[BACKGROUND] = light;
        start[DEPTH] = light - dark;
        start[MIDDLE] = (place(from) + place(to - 1)) / 2;
        start[WIDTH] = (to - from) * step;
        start[BLUR] = seen.map(Seen::blurPx).orElse(1.0);
        start[HALO] = seen.map(Seen::halo).orElse(0.1);
        start[FADES] = seen.map(Seen::fadesPx).orElse(4.0);
        return Optional.of(start);
    }

    private Optional<Edges> found(double[] fit, double deep) {
        double width = Math.abs(fit[WIDTH]);
        double half = shades.length * step / 2;
        double depth = fit[DEPTH];
        double background = fit[BACKGROUND] + fit[SLOPE] * fit[MIDDLE];
        if (!(width > 0.3 && width < 1.8 * half && Math.abs(fit[MIDDLE]) < half && depth > deep / 3)) {
            return Optional.empty();
        }
        return Optional.of(new Edges(
                fit[MIDDLE],
                width,
                background / Math.max(1, background - depth),
                new Seen(Math.max(LEAST_BLUR, Math.abs(fit[BLUR])), fit[HALO], fades(fit[FADES]))));
    }

    /** @param free how many of the numbers are fitted; the others stay as they are */
    private Optional<double[]> fitted(double[] start, int free) {
        return solved(
                        Arrays.copyOf(start, free),
                        shades,
                        p -> model(filled(p, start)),
                        p -> slopes(filled(p, start), free))
                .map(fit -> filled(fit, start));
    }

    private static Optional<double[]> solved(
            double[] start, double[] target, MultivariateVectorFunction model, MultivariateMatrixFunction slopes) {
        try {
            double[] fit = new LevenbergMarquardtOptimizer()
                    .optimize(new LeastSquaresBuilder()
                            .start(start)
                            .target(target)
                            .model(model, slopes)
                            .lazyEvaluation(false)
                            .maxEvaluations(400)
                            .maxIterations(200)
                            .build())
                    .getPoint()
                    .toArray();
            return Arrays.stream(fit).allMatch(Double::isFinite) ? Optional.of(fit) : Optional.empty();
        } catch (MathRuntimeException noEnd) {
            return Optional.empty();
        }
    }

    /**
     * What is the same all along a line, from all its places at once; one place alone cannot tell a halo from blur.
     *
     * @param profiles of places where the line was seen; all equally long
     * @param start near it
     */
    static Seen together(List<LineProfile> profiles, Seen start) {
        int each = profiles.get(0).shades.length;
        double[] first = new double[SAME + OWN * profiles.size()];
        double[] target = new double[each * profiles.size()];
        first[0] = start.blurPx();
        first[1] = start.halo();
        first[2] = start.fadesPx();
        for (int i = 0; i < profiles.size(); i++) {
            double[] own = profiles.get(i).begin(Optional.of(start)).orElse(new double[COUNT]);
            System.arraycopy(own, 0, first, SAME + OWN * i, OWN);
            System.arraycopy(profiles.get(i).shades, 0, target, each * i, each);
        }
        return solved(
                        first,
                        target,
                        p -> {
                            double[] model = new double[target.length];
                            for (int i = 0; i < profiles.size(); i++) {
                                System.arraycopy(profiles.get(i).model(ownOf(p, i)), 0, model, each * i, each);
                            }
                            return model;
                        },
                        p -> {
                            double[][] slopes = new double[target.length][p.length];
                            for (int i = 0; i < profiles.size(); i++) {
                                double[][] own = profiles.get(i).slopes(ownOf(p, i), COUNT);
                                for (int row = 0; row < each; row++) {
                                    System.arraycopy(own[row], 0, slopes[each * i + row], SAME + OWN * i, OWN);
                                    System.arraycopy(own[row], OWN, slopes[each * i + row], 0, SAME);
                                }
                            }
                            return slopes;
                        })
                .map(p -> new Seen(Math.max(LEAST_BLUR, Math.abs(p[0])), p[1], fades(p[2])))
                .orElse(start);
    }

    private static double[] ownOf(double[] all, int i) {
        double[] own = new double[COUNT];
        System.arraycopy(all, SAME + OWN * i, own, 0, OWN);
        System.arraycopy(all, 0, own, OWN, SAME);
        return own;
    }

    private static double[] filled(double[] free, double[] whole) {
        double[] filled = whole.clone();
        System.arraycopy(free, 0, filled, 0, free.length);
        return filled;
    }

    private static double fades(double px) {
        return Math.max(0.5, Math.min(40, Math.abs(px)));
    }

    private double[] model(double[] p) {
        double[] model = new double[shades.length];
        Shape shape = new Shape(p);
        for (int i = 0; i < model.length; i++) {
            shape.at(place(i));
            model[i] = p[BACKGROUND] + p[SLOPE] * place(i) - p[DEPTH] * shape.dark;
        }
        return model;
    }

    /** @param free by how many of the numbers */
    private double[][] slopes(double[] p, int free) {
        double[][] slopes = new double[shades.length][free];
        Shape shape = new Shape(p);
        double[] all = new double[COUNT];
        for (int i = 0; i < slopes.length; i++) {
            shape.at(place(i));
            all[BACKGROUND] = 1;
            all[SLOPE] = place(i);
            all[DEPTH] = -shape.dark;
            all[MIDDLE] = -p[DEPTH] * shape.byMiddle;
            all[WIDTH] = -p[DEPTH] * shape.byWidth * Math.signum(p[WIDTH]);
            all[BLUR] = -p[DEPTH] * shape.byBlur * Math.signum(p[BLUR]);
            all[HALO] = -p[DEPTH] * shape.halo;
            all[FADES] = -p[DEPTH] * shape.byFades * Math.signum(p[FADES]);
            System.arraycopy(all, 0, slopes[i], 0, free);
        }
        return slopes;
    }

    /** How dark it is across a line, as a share of the line's own depth, and by what that changes. */
    private static final class Shape {
        private final double middle;
        private final double half;
        private final double blur;
        private final double share;
        private final double fades;
        private double dark;
        private double halo;
        private double byMiddle;
        private double byWidth;
        private double byBlur;
        private double byFades;

        private Shape(double[] p) {
            middle = p[MIDDLE];
            half = Math.abs(p[WIDTH]) / 2;
            blur = Math.max(LEAST_BLUR, Math.abs(p[BLUR]));
            share = p[HALO];
            fades = fades(p[FADES]);
        }

        private void at(double place) {
            double off = place - middle;
            double left = (off + half) / blur;
            double right = (off - half) / blur;
            double bellLeft = bell(left);
            double bellRight = bell(right);
            halo = 0;
            dark = below(left) - below(right);
            byMiddle = (bellRight - bellLeft) / blur;
            byWidth = (bellLeft + bellRight) / (2 * blur);
            byBlur = (right * bellRight - left * bellLeft) / blur;
            byFades = 0;
            fade(off - half, bellRight, -1);
            fade(-off - half, bellLeft, 1);
            dark += share * halo;
        }

        /** What fades away from an edge, blurred as the edge is; outward is positive. */
        private void fade(double outward, double bell, int withMiddle) {
            double power = blur * blur / (2 * fades * fades) - outward / fades;
            double inside = below(outward / blur - blur / fades);
            double faded = inside < 1e-300 ? 0 : Math.exp(power + Math.log(inside));
            double byOutward = bell / blur - faded / fades;
            halo += faded;
            byMiddle += share * withMiddle * byOutward;
            byWidth -= share * byOutward / 2;
            byBlur += share * (faded * blur / (fades * fades) - bell * (outward / (blur * blur) + 1 / fades));
            byFades += share
                    * (faded * (outward / (fades * fades) - blur * blur / (fades * fades * fades))
                            + bell * blur / (fades * fades));
        }

        private static double below(double at) {
            return at > 8 ? 1 : at < -37 ? 0 : 0.5 * Erf.erfc(-at / Math.sqrt(2));
        }

        private static double bell(double at) {
            return Math.exp(-at * at / 2) / Math.sqrt(2 * Math.PI);
        }
    }
}
