package zebrawood.core.extraction;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.extraction.ExtractionFinding.Change;
import zebrawood.core.extraction.ExtractionFinding.Kinds;
import zebrawood.core.reading.Limits;

/** Which single change of a run helps most: each that can be made is computed, none is guessed. */
final class SingleChange {

    /** diameters that ducts are sold in, mm */
    private static final double[] STANDARD_MM = {63, 80, 100, 125, 150, 160, 180, 200, 224, 250, 280, 315};
    /** a duct is as wide as the next size where it is within so much of it */
    private static final double WIDER = 1.02;

    private static final double NARROWER = 0.98;
    /** % of margin by which one change must be better than another, or than none */
    private static final double SAME = 1e-9;

    private final ExtractionReadings read;
    private final Layout layout;
    private final Fan fan;
    private final double least;

    /** @param least velocity that carries dust, m/s */
    SingleChange(ExtractionReadings read, Fan fan, double least) {
        this.read = read;
        this.layout = read.layout();
        this.fan = fan;
        this.least = least;
    }

    /** A run as it would be, and the flow there, m³/h. */
    private record Tried(Change change, boolean carries) {
        double marginPct() {
            return change.marginPct().orElseThrow();
        }
    }

    /**
     * @param margin of today, %
     * @param carries whether dust is carried everywhere today
     */
    Optional<Change> best(double margin, boolean carries) {
        if (!read.fanAtDischargeEnd()) {
            return Optional.of(new Change(
                    Kinds.FAN_END, Optional.empty(), OptionalDouble.empty(), OptionalDouble.empty(), Optional.empty()));
        } else if (!Limits.atLeast(margin, 0)) {
            return more(margin);
        }
        return carries ? Optional.empty() : narrower();
    }

    private Tried tried(Kinds kind, String name, OptionalDouble diameterMm, Layout then) {
        double flow = fan.operatingFlow(then);
        double margin = 100 * (flow / read.requiredFlowM3h() - 1);
        boolean carries =
                then.segments().stream().allMatch(segment -> Limits.atLeast(segment.velocityMps(flow), least));
        return new Tried(
                new Change(kind, Optional.of(name), diameterMm, OptionalDouble.of(margin), Optional.of(carries)),
                carries);
    }

    private Optional<Change> more(double margin) {
        List<Tried> all = new ArrayList<>();
        List<Layout.Segment> segments = layout.segments();
        for (int i = 0; i < segments.size(); i++) {
            Layout.Segment segment = segments.get(i);
            OptionalDouble wider = above(WIDER * segment.diameterMm());
            if (wider.isPresent()) {
                all.add(tried(Kinds.WIDER, segment.name(), wider, layout.with(i, wider.getAsDouble())));
            }
        }
        for (int i = 0; i < segments.size(); i++) {
            if (segments.get(i).frictionMultiplier().orElse(1) > 1) {
                all.add(tried(Kinds.STRAIGHT, segments.get(i).name(), OptionalDouble.empty(), layout.withStraight(i)));
            }
        }
        for (int i = 0; i < layout.filters().size(); i++) {
            if (layout.filters().get(i).ratedDropPa() > 0) {
                all.add(tried(
                        Kinds.FILTER,
                        layout.filters().get(i).name(),
                        OptionalDouble.empty(),
                        layout.withHalfTheDrop(i)));
            }
        }
        Tried best = null;
        for (Tried each : all) {
            boolean helps = each.marginPct() > margin + SAME;
            boolean better = best == null
                    || each.carries() && !best.carries()
                    || each.carries() == best.carries() && each.marginPct() > best.marginPct() + SAME;
            best = helps && better ? each : best;
        }
        return Optional.ofNullable(best).map(Tried::change);
    }

    /**
     * Whether any run of these parts could draw enough of this fan: each duct straight and as wide as still carries the
     * dust at the required flow, no filter at all, the fittings as they are.
     */
    boolean canBeEnough() {
        double flow = read.requiredFlowM3h();
        OptionalDouble given = fan.pressurePa(flow);
        if (given.isEmpty()) {
            return false;
        }
        Layout easiest = new Layout(layout.segments(), layout.fittings(), List.of());
        for (int i = 0; i < layout.segments().size(); i++) {
            Layout.Segment segment = layout.segments().get(i);
            double widest = segment.diameterMm();
            for (double size : STANDARD_MM) {
                boolean carries =
                        Limits.atLeast(easiest.with(i, size).segments().get(i).velocityMps(flow), least);
                widest = carries ? Math.max(size, widest) : widest;
            }
            easiest = easiest.withStraight(i).with(i, widest);
        }
        return Limits.atLeast(
                given.getAsDouble(), easiest.pressurePa(flow, read.air().orElse(Air.USUAL)));
    }

    private Optional<Change> narrower() {
        double flow = fan.operatingFlow(layout);
        int slowest = 0;
        for (int i = 1; i < layout.segments().size(); i++) {
            boolean slower = layout.segments().get(i).velocityMps(flow)
                    < layout.segments().get(slowest).velocityMps(flow) - SAME;
            slowest = slower ? i : slowest;
        }
        Layout.Segment segment = layout.segments().get(slowest);
        for (int i = STANDARD_MM.length - 1; i >= 0; i--) {
            if (STANDARD_MM[i] < NARROWER * segment.diameterMm()) {
                Layout then = layout.with(slowest, STANDARD_MM[i]);
                double flowThen = fan.operatingFlow(then);
                Tried tried = tried(Kinds.NARROWER, segment.name(), OptionalDouble.of(STANDARD_MM[i]), then);
                if (Limits.atLeast(tried.marginPct(), 0)
                        && Limits.atLeast(then.segments().get(slowest).velocityMps(flowThen), least)) {
                    return Optional.of(tried.change());
                }
            }
        }
        return Optional.empty();
    }

    private static OptionalDouble above(double diameter) {
        for (double size : STANDARD_MM) {
            if (size > diameter) {
                return OptionalDouble.of(size);
            }
        }
        return OptionalDouble.empty();
    }
}
