package zebrawood.core.extraction;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What an extraction draws.
 *
 * @param systemPressurePa what the run takes at the required flow, Pa
 * @param fanPressurePa what the fan gives there, Pa; absent beyond its curve
 * @param operatingFlowM3h where both meet, m³/h
 * @param operatingPressurePa what the run takes there, Pa
 * @param marginPct of the operating flow over the required one, %
 * @param velocities at the operating flow, for segments in the order read
 * @param losses at the operating flow, the largest first
 * @param transportOk whether dust is carried everywhere
 * @param chain the run in its order, with what each part takes at the operating flow
 * @param curve what the run takes from no flow to the fan's last
 * @param fan what the fan gives, with this air
 * @param requiredFlowM3h m³/h
 * @param fanAtDischargeEnd where the fan sits
 * @param better a change of a segment, in findings of earlier programs only
 * @param bestChange the single change that helps most, where one is needed and there is one
 * @param loaded with every filter loaded, where one says what that is
 * @param filterDue when its gauge will show that the filter is loaded, where that can be said
 * @param other the other layout, where one was given
 * @param shut what a shut port gives, where that alone carries the dust
 * @param measured what was measured at the port, where it was; the smaller of it and what was computed is believed
 * @param tolerances what it was judged by
 */
public record ExtractionFinding(
        double systemPressurePa,
        OptionalDouble fanPressurePa,
        double operatingFlowM3h,
        double operatingPressurePa,
        double marginPct,
        List<Velocity> velocities,
        List<Loss> losses,
        boolean transportOk,
        List<Link> chain,
        List<Point> curve,
        List<Point> fan,
        double requiredFlowM3h,
        boolean fanAtDischargeEnd,
        Optional<Better> better,
        Optional<Change> bestChange,
        Optional<Loaded> loaded,
        Optional<LocalDate> filterDue,
        Optional<OtherLayout> other,
        Optional<Shut> shut,
        Optional<Measured> measured,
        Tolerances tolerances) {

    /**
     * What an anemometer showed at the port.
     *
     * @param flowM3h that follows from it
     * @param marginPct over the required flow, %
     * @param believed whether it is smaller than what was computed: then it counts
     */
    public record Measured(double flowM3h, double marginPct, boolean believed) {}

    /** m/s in a segment. */
    public record Velocity(String name, double ms) {}

    /** Pa lost in a part. */
    public record Loss(String name, double pa) {}

    /** What a part of the run is. */
    public enum Kind {
        SEGMENT,
        FITTING,
        FILTER
    }

    /**
     * A part of the run.
     *
     * @param lossPa what it takes, Pa
     * @param diameterMm its bore, mm; absent for a filter
     * @param lengthM of a segment, m
     * @param velocityMs in a segment, m/s
     * @param parallel equal ones side by side
     */
    public record Link(
            Kind kind,
            String name,
            double lossPa,
            OptionalDouble diameterMm,
            OptionalDouble lengthM,
            OptionalDouble velocityMs,
            int parallel) {}

    /** Flow, m³/h, and pressure, Pa. */
    public record Point(double flowM3h, double pressurePa) {}

    /** A segment of another diameter, mm, and the margin that gives, %. */
    public record Better(String segment, double diameterMm, double marginPct) {}

    /** What can be changed. */
    public enum Kinds {
        /** the fan to the outlet */
        FAN_END,
        /** a segment wider */
        WIDER,
        /** a hose pulled straight */
        STRAIGHT,
        /** a filter clean, or of twice the area */
        FILTER,
        /** a segment narrower */
        NARROWER
    }

    /**
     * One change of the run.
     *
     * @param name of what is changed; absent for the fan
     * @param diameterMm that it then has, mm, where that is what changes
     * @param marginPct that it gives, %
     * @param carries whether the air is then fast enough everywhere
     */
    public record Change(
            Kinds kind,
            Optional<String> name,
            OptionalDouble diameterMm,
            OptionalDouble marginPct,
            Optional<Boolean> carries) {}

    /** Flow, m³/h, and margin, %, when the filters are loaded. */
    public record Loaded(double flowM3h, double marginPct) {}

    /**
     * The other layout: flow, m³/h, margin, %, whether dust is carried, and what it takes, by flow.
     *
     * @param chain its run in its order; none in entries from before it was kept
     */
    public record OtherLayout(
            double flowM3h,
            double pressurePa,
            double marginPct,
            boolean transportOk,
            List<Point> curve,
            List<Link> chain) {
        public OtherLayout {
            curve = List.copyOf(curve);
            chain = List.copyOf(chain);
        }
    }

    /** One fewer of what is side by side: the slowest air, m/s, and the margin, %. */
    public record Shut(double slowestMillis, double marginPct) {}

    /** The least velocity, m/s. */
    public record Tolerances(double minTransportMs) {}

    public ExtractionFinding {
        velocities = List.copyOf(velocities);
        losses = List.copyOf(losses);
        chain = List.copyOf(chain);
        curve = List.copyOf(curve);
        fan = List.copyOf(fan);
    }
}
