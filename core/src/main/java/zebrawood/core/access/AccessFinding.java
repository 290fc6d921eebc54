package zebrawood.core.access;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What is spare on the way in.
 *
 * @param openings in the order read
 * @param corners likewise
 * @param walls likewise
 * @param pressureKPa of the machine on its plan
 * @param footLoadN on one foot when a rigid frame rocks on two of four, or on one of three
 * @param floorOk whether the floor is rated for it; absent where its rating is not known
 * @param footOk whether it bears that under one foot; likewise
 * @param other the other way, where one was given
 * @param tolerances what it was judged by
 */
public record AccessFinding(
        List<Passage> openings,
        List<Passage> corners,
        List<Clearance> walls,
        double pressureKPa,
        double footLoadN,
        Optional<Boolean> floorOk,
        Optional<Boolean> footOk,
        Optional<OtherWay> other,
        Tolerances tolerances) {

    /** An opening or a corner: what is spare there, mm, and whether that is at least the margin. */
    public record Passage(String name, double spareMm, boolean fits) {}

    /** A wall: what is spare beyond what is needed there, mm. */
    public record Clearance(String side, double spareMm, boolean ok) {}

    /**
     * The other way: where it is tightest, and what is spare there, mm.
     *
     * @param openings of it, in the order read; none in entries from before they were kept
     * @param corners likewise
     */
    public record OtherWay(
            String name, String tightest, double spareMm, boolean fits, List<Passage> openings, List<Passage> corners) {
        public OtherWay {
            openings = List.copyOf(openings);
            corners = List.copyOf(corners);
        }
    }

    /** The margin, mm. */
    public record Tolerances(double marginMm) {}

    public AccessFinding {
        openings = List.copyOf(openings);
        corners = List.copyOf(corners);
        walls = List.copyOf(walls);
    }

    /** Where on the way the least is spare. */
    public Passage tightest() {
        return tightest(openings, corners);
    }

    /** Of openings and corners, at least one, the one where the least is spare. */
    public static Passage tightest(List<Passage> openings, List<Passage> corners) {
        return Stream.concat(openings.stream(), corners.stream())
                .min(Comparator.comparingDouble(Passage::spareMm))
                .orElseThrow();
    }
}
