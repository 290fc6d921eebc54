package zebrawood.core.picture;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.reading.ReadingException;

/**
 * A burned line in a picture: how wide it is at places along it. Two points of a rule in the picture give the scale;
 * two points of the line say where it begins and which way it goes, and need not be exact across it.
 *
 * @param rulerFrom one point of the rule
 * @param rulerTo another one
 * @param rulerMm how far apart they are, mm, above 0
 * @param start where the line begins
 * @param onwards a point of the line far from its beginning
 */
public record BurnedLine(Pixel rulerFrom, Pixel rulerTo, double rulerMm, Pixel start, Pixel onwards) {

    /** how surely a width is read off a picture that is sharp enough, one standard error, px */
    public static final double ERROR_PX = 0.15;
    /** a line is looked for so far to both sides, mm */
    private static final double LOOKED_MM = 1.6;
    /** and its shades are taken together over so much of its length, mm */
    private static final double TOGETHER_MM = 0.6;

    private static final double LEAST_SIDE_PX = 14;
    private static final double MOST_SIDE_PX = 90;
    private static final double STEP_PX = 0.5;

    public BurnedLine {
        if (!(rulerMm > 0)) {
            throw new ReadingException("rulerMm", "type how far apart the two points of the rule are");
        } else if (rulerFrom.to(rulerTo) < 20) {
            throw new ReadingException("ruler", "the two points of the rule lie at one place: set them far apart");
        } else if (start.to(onwards) < 20) {
            throw new ReadingException("line", "the two points of the line lie at one place: set them far apart");
        }
    }

    /**
     * A width that was read.
     *
     * @param alongMm from the beginning of the line
     * @param from one edge of the line
     * @param to the other one
     * @param widthMm from one to the other
     * @param contrast how many times brighter the surface is than the line
     */
    public record Width(double alongMm, Pixel from, Pixel to, double widthMm, double contrast) {}

    /** How many px are a mm. */
    public double pxPerMm() {
        return rulerFrom.to(rulerTo) / rulerMm;
    }

    /** The place so far along the line as it was pointed at. */
    public Pixel at(double alongMm) {
        return start.towards(onwards, alongMm * pxPerMm() / start.to(onwards));
    }

    /** How wide the line is at places along it, mm; a place without a line to be seen is empty. */
    public List<Optional<Width>> widths(Grey picture, List<Double> alongMm) {
        // first where it lies; then across it as it lies, not as it was pointed at
        List<double[]> places = new ArrayList<>();
        List<LineProfile.Seen> seen = new ArrayList<>();
        double side = Math.max(LEAST_SIDE_PX, Math.min(MOST_SIDE_PX, LOOKED_MM * pxPerMm()));
        double length = start.to(onwards);
        double alongX = (onwards.x() - start.x()) / length;
        double alongY = (onwards.y() - start.y()) / length;
        for (double along : alongMm) {
            profile(picture, at(along), alongX, alongY, side, 0.5)
                    .edges(Optional.empty())
                    .ifPresent(edges -> {
                        places.add(new double[] {along * pxPerMm(), edges.middlePx()});
                        seen.add(edges.seen());
                    });
        }
        double[] lies = lies(places);
        double turned = Math.atan(lies[1]);
        double newX = alongX * Math.cos(turned) - alongY * Math.sin(turned);
        double newY = alongY * Math.cos(turned) + alongX * Math.sin(turned);
        Map<Pixel, LineProfile> profiles = new LinkedHashMap<>();
        for (double along : alongMm) {
            double off = lies[0] + lies[1] * along * pxPerMm();
            Pixel pointed = at(along);
            Pixel middle = new Pixel(pointed.x() - off * alongY, pointed.y() + off * alongX);
            profiles.put(middle, profile(picture, middle, newX, newY, side, 1));
        }
        List<LineProfile> plain = profiles.entrySet().stream()
                .filter(place ->
                        picture.holds(place.getKey().x(), place.getKey().y())
                                && place.getValue().edges(Optional.empty()).isPresent())
                .map(Map.Entry::getValue)
                .toList();
        Optional<LineProfile.Seen> same = plain.isEmpty()
                ? Optional.empty()
                : Optional.of(LineProfile.together(plain, LineProfile.Seen.middle(seen)));
        List<Optional<Width>> widths = new ArrayList<>();
        int i = 0;
        for (Map.Entry<Pixel, LineProfile> place : profiles.entrySet()) {
            double along = alongMm.get(i++);
            widths.add(
                    same.isPresent()
                                    && picture.holds(
                                            place.getKey().x(), place.getKey().y())
                            ? place.getValue().edges(same).map(edges -> width(along, place.getKey(), newX, newY, edges))
                            : Optional.empty());
        }
        return widths;
    }

    private Width width(double along, Pixel middle, double alongX, double alongY, LineProfile.Edges edges) {
        double one = edges.middlePx() - edges.widthPx() / 2;
        double other = edges.middlePx() + edges.widthPx() / 2;
        return new Width(
                along,
                new Pixel(middle.x() - one * alongY, middle.y() + one * alongX),
                new Pixel(middle.x() - other * alongY, middle.y() + other * alongX),
                edges.widthPx() / pxPerMm(),
                edges.contrast());
    }

    /** Shades across the line, each the mean of a short piece along it. */
    private LineProfile profile(Grey picture, Pixel middle, double alongX, double alongY, double side, double share) {
        int across = 2 * (int) Math.round(side / STEP_PX) + 1;
        int together = 2 * (int) Math.round(Math.max(6, share * TOGETHER_MM * pxPerMm() / 2)) + 1;
        double[] shades = new double[across];
        for (int i = 0; i < across; i++) {
            double off = (i - across / 2) * STEP_PX;
            double sum = 0;
            for (int j = 0; j < together; j++) {
                double on = j - together / 2;
                sum += picture.between(
                        middle.x() + on * alongX - off * alongY, middle.y() + on * alongY + off * alongX);
            }
            shades[i] = sum / together;
        }
        return new LineProfile(shades, STEP_PX);
    }

    /** How the line lies beside where it was pointed at: how far, and how much further with every px along it. */
    private static double[] lies(List<double[]> seen) {
        // a line through the middles of two places each: the middle one of all such slopes, so that a knot in the wood
        // is passed over
        List<Double> slopes = new ArrayList<>();
        for (int i = 0; i < seen.size(); i++) {
            for (int j = i + 1; j < seen.size(); j++) {
                double along = seen.get(j)[0] - seen.get(i)[0];
                if (Math.abs(along) > 1) {
                    slopes.add((seen.get(j)[1] - seen.get(i)[1]) / along);
                }
            }
        }
        double slope = middle(slopes);
        return new double[] {
            middle(seen.stream().map(each -> each[1] - slope * each[0]).toList()), slope
        };
    }

    private static double middle(List<Double> values) {
        List<Double> sorted = values.stream().sorted().toList();
        return sorted.isEmpty() ? 0 : sorted.get(sorted.size() / 2);
    }
}
