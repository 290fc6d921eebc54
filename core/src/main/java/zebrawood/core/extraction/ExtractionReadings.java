package zebrawood.core.extraction;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.extraction.Layout.Filter;
import zebrawood.core.extraction.Layout.Fitting;
import zebrawood.core.extraction.Layout.Segment;
import zebrawood.core.reading.Checks;

/**
 * An extraction: what is asked of it, its run, its fan.
 *
 * @param requiredFlowM3h what the machine's manual asks for, m³/h, above 0
 * @param air that is drawn; 20 °C and 101.325 kPa where absent
 * @param segments as in {@link Layout}
 * @param fittings likewise
 * @param filters likewise
 * @param fanCurve for air of 20 °C and 101.325 kPa, at least two points: the first flow 0, flow rising, pressure
 *     falling
 * @param minTransportMs that no dust lies down, m/s, at least 0; 10 where absent
 * @param fanAtDischargeEnd whether the fan sits at the outlet, so that leaks suck
 * @param startSignal whether the machine's start signal was seen to start it, where that was tried
 * @param gauge what the filter's gauge showed, Pa, on which days
 * @param other another layout to compare with, with the same fan
 * @param port what an anemometer showed at the machine's port, where it was held there
 */
public record ExtractionReadings(
        double requiredFlowM3h,
        Optional<Air> air,
        List<Segment> segments,
        List<Fitting> fittings,
        List<Filter> filters,
        List<FanPoint> fanCurve,
        OptionalDouble minTransportMs,
        boolean fanAtDischargeEnd,
        Optional<Boolean> startSignal,
        List<Gauged> gauge,
        Optional<Layout> other,
        Optional<Port> port) {

    /** One whose port was not measured. */
    public ExtractionReadings(
            double requiredFlowM3h,
            Optional<Air> air,
            List<Segment> segments,
            List<Fitting> fittings,
            List<Filter> filters,
            List<FanPoint> fanCurve,
            OptionalDouble minTransportMs,
            boolean fanAtDischargeEnd,
            Optional<Boolean> startSignal,
            List<Gauged> gauge,
            Optional<Layout> other) {
        this(
                requiredFlowM3h,
                air,
                segments,
                fittings,
                filters,
                fanCurve,
                minTransportMs,
                fanAtDischargeEnd,
                startSignal,
                gauge,
                other,
                Optional.empty());
    }

    /** An anemometer in the middle of a round port: m/s, at least 0, and the port's bore, mm, above 0. */
    public record Port(double velocityMs, double diameterMm) {

        /** of the velocity in the middle the mean one has so much in a round duct, cautiously */
        private static final double OF_THE_MIDDLE = 0.9;

        public Port {
            new Checks()
                    .atLeast("velocityMs", velocityMs, 0)
                    .above("diameterMm", diameterMm, 0)
                    .done();
        }

        /** m³/h */
        double flowM3h() {
            return OF_THE_MIDDLE * velocityMs * Math.PI / 4 * diameterMm * diameterMm / 1e6 * 3600;
        }
    }

    /** A point of a fan's curve: flow, m³/h, at least 0; pressure, Pa, at least 0. */
    public record FanPoint(double flowM3h, double pressurePa) {
        public FanPoint {
            new Checks()
                    .atLeast("flowM3h", flowM3h, 0)
                    .atLeast("pressurePa", pressurePa, 0)
                    .done();
        }
    }

    /** What the filter's gauge showed on a day, Pa, at least 0. */
    public record Gauged(LocalDate day, double dropPa) {
        public Gauged {
            new Checks().present("day", day).atLeast("dropPa", dropPa, 0).done();
        }
    }

    public ExtractionReadings {
        segments = Checks.copy(segments);
        fittings = Checks.copy(fittings);
        filters = Checks.copy(filters);
        fanCurve = Checks.copy(fanCurve);
        gauge = Checks.copy(gauge);
        Checks checks = new Checks()
                .above("requiredFlowM3h", requiredFlowM3h, 0)
                .entries("segments", segments, 1)
                .entries("fittings", fittings, 0)
                .entries("filters", filters, 0)
                .entries("fanCurve", fanCurve, 2)
                .atLeast("minTransportMs", minTransportMs, 0)
                .entries("gauge", gauge, 0);
        curve(fanCurve, checks);
        checks.done();
    }

    /** Refuses the first point that breaks the curve. */
    private static void curve(List<FanPoint> curve, Checks checks) {
        if (curve.stream().anyMatch(Objects::isNull)) {
            return;
        }
        if (!curve.isEmpty() && curve.get(0).flowM3h() != 0) {
            checks.that(false, "fanCurve[0].flowM3h", "the first point is at no flow");
            return;
        }
        for (int i = 1; i < curve.size(); i++) {
            if (!(curve.get(i).flowM3h() > curve.get(i - 1).flowM3h())) {
                checks.that(false, "fanCurve[" + i + "].flowM3h", "flow must rise from point to point");
                return;
            } else if (!(curve.get(i).pressurePa() < curve.get(i - 1).pressurePa())) {
                checks.that(false, "fanCurve[" + i + "].pressurePa", "pressure must fall from point to point");
                return;
            }
        }
    }

    /** The run by itself. */
    public Layout layout() {
        return new Layout(segments, fittings, filters);
    }
}
