package zebrawood.core.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import zebrawood.core.reading.Checks;
import zebrawood.core.reading.Limits;

/**
 * A straight line burned up an inclined plate, and its widths.
 *
 * @param wavelengthNm nm
 * @param gapAtStartMm from the focus datum straight down to the surface at the start of the line
 * @param runMm horizontal length of the ramp
 * @param riseMm how far the surface rises over the run; negative: it falls; not 0, not over the gap at the start
 * @param positionsAlong how the ruler lay, horizontal where absent
 * @param marks widths in the order measured, at least four at three places; instead of {@code thinnestPositionMm}
 * @param widthErrorMm one standard error of a width, 0.02 where absent
 * @param thinnestPositionMm quick school: only the thinnest place, on the plate; instead of {@code marks}
 * @param gapThereMm quick school: the gap measured over that place, 0 or more, where it was
 * @param lastBestGapMm the best gap of the last time, to tell drift
 * @param lastDepthMm the depth of focus of the last fitted line: a best gap further off than that is read twice
 * @param setting how the gap is set on this machine, for the instruction
 * @param lineAlong the axis of the machine along which the line ran, where that matters
 * @param otherLine what a line along the other axis told, on the same lens and datum: for a spot that is not round
 * @param lens which lens is in, by the shop's name for it
 */
public record RampReadings(
        double wavelengthNm,
        double gapAtStartMm,
        double runMm,
        double riseMm,
        Optional<PositionsAlong> positionsAlong,
        Optional<List<Mark>> marks,
        OptionalDouble widthErrorMm,
        OptionalDouble thinnestPositionMm,
        OptionalDouble gapThereMm,
        OptionalDouble lastBestGapMm,
        OptionalDouble lastDepthMm,
        Optional<GapSetting> setting,
        Optional<LineAlong> lineAlong,
        Optional<OtherLine> otherLine,
        Optional<String> lens) {

    /** what a loupe with a scale reads to */
    static final double DEFAULT_WIDTH_ERROR_MM = 0.02;
    /** three numbers are fitted; one more tells whether they fit */
    static final int LEAST_MARKS = 4;
    /** a curve through fewer places is any curve */
    static final int LEAST_PLACES = 3;

    /** Without a gap measured over the thinnest place, and without a line before it. */
    public RampReadings(
            double wavelengthNm,
            double gapAtStartMm,
            double runMm,
            double riseMm,
            Optional<PositionsAlong> positionsAlong,
            Optional<List<Mark>> marks,
            OptionalDouble widthErrorMm,
            OptionalDouble thinnestPositionMm,
            OptionalDouble lastBestGapMm,
            Optional<GapSetting> setting) {
        this(
                wavelengthNm,
                gapAtStartMm,
                runMm,
                riseMm,
                positionsAlong,
                marks,
                widthErrorMm,
                thinnestPositionMm,
                OptionalDouble.empty(),
                lastBestGapMm,
                OptionalDouble.empty(),
                setting,
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** Which axis of the machine a line ran along. */
    public enum LineAlong {
        X,
        Y;

        /** The other axis. */
        public LineAlong other() {
            return this == X ? Y : X;
        }
    }

    /**
     * A line along the other axis.
     *
     * @param bestGapMm where it is thinnest
     * @param bestGapStdErrMm its standard error
     * @param a of its fitted {@code d² = a + b g + c g²}
     * @param b likewise
     * @param c likewise, above 0
     */
    public record OtherLine(double bestGapMm, double bestGapStdErrMm, double a, double b, double c) {
        public OtherLine {
            new Checks()
                    .atLeast("bestGapMm", bestGapMm, 0)
                    .atLeast("bestGapStdErrMm", bestGapStdErrMm, 0)
                    .finite("a", a)
                    .finite("b", b)
                    .above("c", c, 0)
                    .done();
        }
    }

    /** How the ruler lay. */
    public enum PositionsAlong {
        HORIZONTAL,
        PLATE
    }

    /** Width of the line at a position from the start; the position may have any sign. */
    public record Mark(double positionMm, double widthMm) {
        public Mark {
            new Checks()
                    .finite("positionMm", positionMm)
                    .above("widthMm", widthMm, 0)
                    .done();
        }
    }

    /**
     * How the hand sets the gap.
     *
     * @param datum from where it is measured: nozzle tip
     * @param moves what moves for it: bed, head
     * @param tool the shop's tool for it: block, stick
     * @param stepMm the steps in which it can be set
     * @param fixedGapMm the gap at which the machine works, where not the gap but the lens in its ring is moved
     * @param makersGapMm the gap that the maker states, to be verified
     */
    public record GapSetting(
            Optional<String> datum,
            Optional<String> moves,
            Optional<String> tool,
            OptionalDouble stepMm,
            OptionalDouble fixedGapMm,
            OptionalDouble makersGapMm) {
        /** how a plate says that the lens is turned in a ring, and the gap is always the same */
        private static final Pattern LENS_RING = Pattern.compile("(?i)\\bring\\b");

        /** Whether these words for what moves mean a lens in its ring. */
        public static boolean isLensRing(String moves) {
            return LENS_RING.matcher(moves).find();
        }

        /** One where bed or head moves. */
        public GapSetting(
                Optional<String> datum, Optional<String> moves, Optional<String> tool, OptionalDouble stepMm) {
            this(datum, moves, tool, stepMm, OptionalDouble.empty(), OptionalDouble.empty());
        }

        public GapSetting {
            new Checks()
                    .above("stepMm", stepMm, 0)
                    .above("fixedGapMm", fixedGapMm, 0)
                    .above("makersGapMm", makersGapMm, 0)
                    .done();
        }
    }

    public RampReadings {
        marks = marks == null ? Optional.empty() : marks.map(List::copyOf);
        List<Mark> given = marks.orElse(List.of());
        boolean quick = thinnestPositionMm != null && thinnestPositionMm.isPresent();
        boolean measured = marks.isPresent();
        new Checks()
                .above("wavelengthNm", wavelengthNm, 0)
                .atLeast("gapAtStartMm", gapAtStartMm, 0)
                .above("runMm", runMm, 0)
                .finite("riseMm", riseMm)
                .that(riseMm != 0, "riseMm", "a plate without rise shows no focus; raise one end of it")
                // told while the widths still lack: the line is burnt before they are read
                .that(
                        !(riseMm > gapAtStartMm),
                        "riseMm",
                        "the plate rises more than the gap at its start: the head would strike it")
                .enough(quick || measured, "marks", "neither widths nor the thinnest place is given")
                .enough(
                        !measured || given.size() >= LEAST_MARKS,
                        "marks",
                        given.size() + " widths read, at least " + LEAST_MARKS + " are needed")
                .enough(
                        !measured || given.size() < LEAST_MARKS || places(given) >= LEAST_PLACES,
                        "marks",
                        "the widths stand at fewer than " + LEAST_PLACES + " different places")
                .above("widthErrorMm", widthErrorMm, 0)
                .finite("thinnestPositionMm", thinnestPositionMm)
                .atLeast("gapThereMm", gapThereMm, 0)
                .above("lastBestGapMm", lastBestGapMm, 0)
                .above("lastDepthMm", lastDepthMm, 0)
                .tie(
                        () -> !(quick && measured),
                        "thinnestPositionMm",
                        "widths are given too; give either them or only the thinnest place")
                .tie(
                        () -> !quick || onPlate(thinnestPositionMm.getAsDouble(), positionsAlong, runMm, riseMm),
                        "thinnestPositionMm",
                        "lies beside the plate; measure it along the line from its start")
                .tie(
                        () -> gapThereMm.isEmpty() || quick,
                        "gapThereMm",
                        "belongs to the thinnest place, which is not given")
                .tie(
                        () -> otherLine.isEmpty() || lineAlong.isPresent(),
                        "otherLine",
                        "is along the other axis, but nothing says along which this one ran")
                .done();
    }

    private static boolean onPlate(double at, Optional<PositionsAlong> along, double runMm, double riseMm) {
        double length =
                along.orElse(PositionsAlong.HORIZONTAL) == PositionsAlong.PLATE ? Math.hypot(runMm, riseMm) : runMm;
        return Limits.atLeast(at, 0) && Limits.atMost(at, length);
    }

    /** How far along the plate the thinnest place lies, 0 at its start and 1 at its end. */
    double thinnestShare() {
        double length = positionsAlong.orElse(PositionsAlong.HORIZONTAL) == PositionsAlong.PLATE
                ? Math.hypot(runMm, riseMm)
                : runMm;
        return thinnestPositionMm.orElseThrow() / length;
    }

    private static long places(List<Mark> marks) {
        return marks.stream().mapToDouble(Mark::positionMm).distinct().count();
    }

    double widthErrorOrDefaultMm() {
        return widthErrorMm.orElse(DEFAULT_WIDTH_ERROR_MM);
    }

    /** Gap over a position, mm: {@code gapAtStart - p rise/run}, with p taken to the horizontal first. */
    double gapMm(double positionMm) {
        double horizontal = positionsAlong.orElse(PositionsAlong.HORIZONTAL) == PositionsAlong.PLATE
                ? positionMm * runMm / Math.hypot(runMm, riseMm)
                : positionMm;
        return gapAtStartMm - horizontal * riseMm / runMm;
    }
}
