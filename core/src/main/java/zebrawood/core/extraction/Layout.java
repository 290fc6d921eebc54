package zebrawood.core.extraction;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.reading.Checks;

/**
 * A run of ducts from the machine to the outlet.
 *
 * @param segments ducts and hoses, at least one, in the order of the run
 * @param fittings bends, caps, hoods
 * @param filters with what they take
 */
public record Layout(List<Segment> segments, List<Fitting> fittings, List<Filter> filters) {

    /** more ducts side by side than any machine has outlets */
    private static final int MOST_PARALLEL = 8;
    /** sheet metal with its seams; plastic is smoother, so the estimate is on the safe side */
    private static final double ROUGHNESS_MM = 0.09;
    /** Reynolds number up to which flow in a pipe stays laminar */
    private static final double LAMINAR = 2300;
    /** relative, close to what a double holds */
    private static final double TOLD = 1e-12;
    /** it takes about ten; only an end for the loop */
    private static final int MOST_STEPS = 100;

    /**
     * A duct.
     *
     * @param name what it is
     * @param diameterMm inside, above 0
     * @param lengthM above 0
     * @param roughnessMm at least 0, less than the bore; 0.09 where absent
     * @param frictionMultiplier at least 1; 1 where absent, 1.5 to 3 for a hose that is not pulled straight
     * @param parallel equal ones side by side, each with its share of the flow, 1..8; 1 where absent
     */
    public record Segment(
            String name,
            double diameterMm,
            double lengthM,
            OptionalDouble roughnessMm,
            OptionalDouble frictionMultiplier,
            OptionalInt parallel) {
        public Segment {
            new Checks()
                    .text("name", name)
                    .above("diameterMm", diameterMm, 0)
                    .above("lengthM", lengthM, 0)
                    .atLeast("roughnessMm", roughnessMm, 0)
                    .atLeast("frictionMultiplier", frictionMultiplier, 1)
                    .that(isFew(parallel), "parallel", "must be 1 to " + MOST_PARALLEL)
                    .tie(() -> roughnessMm.orElse(0) < diameterMm, "roughnessMm", "must be less than the bore")
                    .done();
        }

        /** The same, of another diameter, mm. */
        Segment of(double otherDiameterMm) {
            return new Segment(name, otherDiameterMm, lengthM, roughnessMm, frictionMultiplier, parallel);
        }

        /** m/s at a flow, m³/h. */
        double velocityMps(double flowM3h) {
            return velocity(flowM3h, diameterMm, parallel);
        }

        double lossPa(double flowM3h, Air air) {
            double v = velocityMps(flowM3h);
            double diameterM = diameterMm / 1000;
            double friction = friction(
                    air.density() * v * diameterM / air.viscosity(), roughnessMm.orElse(ROUGHNESS_MM) / diameterMm);
            return v == 0
                    ? 0
                    : frictionMultiplier.orElse(1) * friction * lengthM / diameterM * air.density() * v * v / 2;
        }

        /** Darcy's friction factor: laminar below a Reynolds number of 2300, else as Colebrook gives it. */
        private static double friction(double reynolds, double roughness) {
            if (reynolds < LAMINAR) {
                return reynolds == 0 ? 0 : 64 / reynolds;
            }
            double root = 8;
            for (int i = 0; i < MOST_STEPS; i++) {
                double next = -2 * Math.log10(roughness / 3.7 + 2.51 * root / reynolds);
                if (Math.abs(next - root) < TOLD * Math.abs(next)) {
                    return 1 / (next * next);
                }
                root = next;
            }
            return 1 / (root * root);
        }
    }

    /**
     * A bend, a cap, a hood.
     *
     * @param name what it is
     * @param diameterMm the bore its coefficient is for, above 0
     * @param lossCoefficient of the pressure of the moving air, at least 0
     * @param parallel equal ones side by side, 1..8; 1 where absent
     * @param segmentsBefore how many segments come before it, at least 0; all of them where absent
     */
    public record Fitting(
            String name, double diameterMm, double lossCoefficient, OptionalInt parallel, OptionalInt segmentsBefore) {
        public Fitting {
            new Checks()
                    .text("name", name)
                    .above("diameterMm", diameterMm, 0)
                    .atLeast("lossCoefficient", lossCoefficient, 0)
                    .that(isFew(parallel), "parallel", "must be 1 to " + MOST_PARALLEL)
                    .atLeast("segmentsBefore", segmentsBefore, 0)
                    .done();
        }

        double lossPa(double flowM3h, Air air) {
            double v = velocity(flowM3h, diameterMm, parallel);
            return lossCoefficient * air.density() * v * v / 2;
        }
    }

    /**
     * A filter.
     *
     * @param name what it is
     * @param ratedFlowM3h the flow for which its drop is stated, above 0
     * @param ratedDropPa when clean, at least 0
     * @param loadedDropPa at the same flow when it is to be changed, at least the clean one, where that is stated
     * @param segmentsBefore how many segments come before it, at least 0; none where absent
     */
    public record Filter(
            String name,
            double ratedFlowM3h,
            double ratedDropPa,
            OptionalDouble loadedDropPa,
            OptionalInt segmentsBefore) {
        public Filter {
            new Checks()
                    .text("name", name)
                    .above("ratedFlowM3h", ratedFlowM3h, 0)
                    .atLeast("ratedDropPa", ratedDropPa, 0)
                    .that(
                            !(loadedDropPa != null
                                    && loadedDropPa.isPresent()
                                    && loadedDropPa.getAsDouble() < ratedDropPa),
                            "loadedDropPa",
                            "must be at least the clean drop")
                    .atLeast("segmentsBefore", segmentsBefore, 0)
                    .done();
        }

        double lossPa(double flowM3h) {
            return ratedDropPa * flowM3h / ratedFlowM3h;
        }

        Filter loaded() {
            return new Filter(name, ratedFlowM3h, loadedDropPa.orElse(ratedDropPa), loadedDropPa, segmentsBefore);
        }
    }

    public Layout {
        segments = Checks.copy(segments);
        fittings = Checks.copy(fittings);
        filters = Checks.copy(filters);
        new Checks()
                .entries("segments", segments, 1)
                .entries("fittings", fittings, 0)
                .entries("filters", filters, 0)
                .done();
    }

    private static boolean isFew(OptionalInt parallel) {
        return parallel == null
                || parallel.isEmpty()
                || parallel.getAsInt() >= 1 && parallel.getAsInt() <= MOST_PARALLEL;
    }

    private static double velocity(double flowM3h, double diameterMm, OptionalInt parallel) {
        double bore = diameterMm / 1000;
        return flowM3h / 3600 / parallel.orElse(1) / (Math.PI / 4 * bore * bore);
    }

    /** What all of it takes at a flow, Pa. */
    double pressurePa(double flowM3h, Air air) {
        double sum = 0;
        for (Segment segment : segments) {
            sum += segment.lossPa(flowM3h, air);
        }
        for (Fitting fitting : fittings) {
            sum += fitting.lossPa(flowM3h, air);
        }
        for (Filter filter : filters) {
            sum += filter.lossPa(flowM3h);
        }
        return sum;
    }

    /** The same with every filter loaded. */
    Layout loaded() {
        return new Layout(
                segments, fittings, filters.stream().map(Filter::loaded).toList());
    }

    /** The same with one fewer of what is side by side, where there is such a thing: a port that is shut. */
    Optional<Layout> oneShut() {
        boolean beside =
                segments.stream().anyMatch(segment -> segment.parallel().orElse(1) > 1);
        return beside
                ? Optional.of(new Layout(
                        segments.stream()
                                .map(segment -> new Segment(
                                        segment.name(),
                                        segment.diameterMm(),
                                        segment.lengthM(),
                                        segment.roughnessMm(),
                                        segment.frictionMultiplier(),
                                        oneFewer(segment.parallel())))
                                .toList(),
                        fittings.stream()
                                .map(fitting -> new Fitting(
                                        fitting.name(),
                                        fitting.diameterMm(),
                                        fitting.lossCoefficient(),
                                        oneFewer(fitting.parallel()),
                                        fitting.segmentsBefore()))
                                .toList(),
                        filters))
                : Optional.empty();
    }

    private static OptionalInt oneFewer(OptionalInt parallel) {
        return parallel.orElse(1) > 1 ? OptionalInt.of(parallel.getAsInt() - 1) : parallel;
    }

    /** The same with one segment pulled straight. */
    Layout withStraight(int segment) {
        Segment was = segments.get(segment);
        List<Segment> changed = new ArrayList<>(segments);
        changed.set(
                segment,
                new Segment(
                        was.name(),
                        was.diameterMm(),
                        was.lengthM(),
                        was.roughnessMm(),
                        OptionalDouble.empty(),
                        was.parallel()));
        return new Layout(changed, fittings, filters);
    }

    /** The same with half the drop of one filter: clean, or of twice the area. */
    Layout withHalfTheDrop(int filter) {
        Filter was = filters.get(filter);
        List<Filter> changed = new ArrayList<>(filters);
        changed.set(
                filter,
                new Filter(
                        was.name(),
                        was.ratedFlowM3h(),
                        was.ratedDropPa() / 2,
                        was.loadedDropPa(),
                        was.segmentsBefore()));
        return new Layout(segments, fittings, changed);
    }

    /** The same with one segment of another diameter, mm. */
    Layout with(int segment, double diameterMm) {
        List<Segment> changed = new ArrayList<>(segments);
        changed.set(segment, segments.get(segment).of(diameterMm));
        return new Layout(changed, fittings, filters);
    }
}
