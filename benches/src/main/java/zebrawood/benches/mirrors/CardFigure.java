package zebrawood.benches.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.core.beam.Spot;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** A card as it is seen standing at it: cross, rings, the marks that are on it and where the next one should sit. */
final class CardFigure {

    private static final double[] HALVES = {5, 10, 20, 40, 80, 160};
    private static final double EDGE = 10;

    /** How a mark came onto a card. */
    enum Sort {
        /** on this card, since a screw was turned last */
        HERE,
        /** at another place, since a screw was turned last */
        ELSEWHERE,
        /** before a screw was turned */
        BEFORE
    }

    /** A mark and which shot made it, from 1. */
    record Mark(Spot spot, int shot, Sort sort) {}

    /**
     * What is drawn.
     *
     * @param live the mark that is being read
     * @param expected where it should sit
     * @param burn a mark on a pretend card, which is to be read
     */
    record Card(List<Mark> marks, Optional<Spot> live, Optional<PlanFinding.Expected> expected, Optional<Spot> burn) {
        Card {
            marks = List.copyOf(marks);
        }

        /** Half of what is drawn of the card, mm. */
        double halfMm() {
            double most = marks.stream()
                    .filter(mark -> mark.sort() != Sort.BEFORE)
                    .mapToDouble(mark -> reach(mark.spot()))
                    .max()
                    .orElse(0);
            most = Math.max(most, live.map(CardFigure::reach).orElse(0.0));
            most = Math.max(most, burn.map(CardFigure::reach).orElse(0.0));
            most = Math.max(
                    most,
                    expected.map(e -> Math.min(40, reach(new Spot(e.xMm(), e.yMm()))))
                            .orElse(0.0));
            for (double half : HALVES) {
                if (most <= 0.94 * half) {
                    return half;
                }
            }
            return most * 1.1;
        }
    }

    private CardFigure() {}

    private static double reach(Spot spot) {
        return Math.max(Math.abs(spot.xMm()), Math.abs(spot.yMm()));
    }

    /** px a millimetre has on a square card drawn so wide. */
    static double perMm(Card card, double width) {
        return (width / 2 - EDGE) / card.halfMm();
    }

    /** Where a point of a drawing so wide lies on the card. */
    static Spot at(Card card, double width, double x, double y) {
        double perMm = perMm(card, width);
        return new Spot((x - width / 2) / perMm, (width / 2 - y) / perMm);
    }

    static void draw(Pen pen, Card card, UnitChoice units, double width) {
        double perMm = perMm(card, width);
        double half = width / 2;
        pen.rectangle(1, 1, width - 2, width - 2, Tone.RAISED, Stroke.of(Tone.QUIET, 1.2));
        double whole = card.halfMm();
        for (int ring = 1; ring <= 5; ring++) {
            boolean outer = ring == 5;
            pen.stroke(
                    Path.circle(half, half, ring * whole / 5 * perMm),
                    Stroke.of(outer ? Tone.QUIET : Tone.HAIRLINE, outer ? 1.4 : 1));
        }
        pen.line(EDGE, half, width - EDGE, half, Stroke.of(Tone.HAIRLINE, 1.2));
        pen.line(half, EDGE, half, width - EDGE, Stroke.of(Tone.HAIRLINE, 1.2));
        pen.clipped(2, 2, width - 4, width - 4, () -> {
            for (Mark mark : card.marks()) {
                mark(
                        pen,
                        mark,
                        half + mark.spot().xMm() * perMm,
                        half - mark.spot().yMm() * perMm);
            }
            card.expected().ifPresent(expected -> {
                double r = Math.max(5, expected.errorMm() * perMm);
                pen.stroke(
                        Path.circle(half + expected.xMm() * perMm, half - expected.yMm() * perMm, r),
                        Stroke.dashed(Tone.WALNUT, 2, 4));
            });
            card.burn()
                    .ifPresent(burn -> pen.circle(
                            half + burn.xMm() * perMm, half - burn.yMm() * perMm, Math.max(5, 1.2 * perMm), Tone.BURN));
            card.live().ifPresent(live -> {
                double x = half + live.xMm() * perMm;
                double y = half - live.yMm() * perMm;
                pen.circle(x, y, 7, Tone.READING);
                pen.line(x - 14, y, x + 14, y, Stroke.of(Tone.READING, 1.6));
                pen.line(x, y - 14, x, y + 14, Stroke.of(Tone.READING, 1.6));
            });
        });
        pen.patched(width - 8, width - 8, Amount.mm(whole, 0).text(units), Lettering.CAPTION, Tone.QUIET, Anchor.END);
    }

    private static void mark(Pen pen, Mark mark, double x, double y) {
        switch (mark.sort()) {
            case HERE -> pen.circle(x, y, 6, Tone.READING);
            case ELSEWHERE -> {
                pen.circle(x, y, 6, Tone.RAISED);
                pen.stroke(Path.circle(x, y, 6), Stroke.of(Tone.READING, 2));
            }
            case BEFORE -> pen.stroke(Path.circle(x, y, 4), Stroke.of(Tone.QUIET, 1.2));
        }
        if (mark.sort() != Sort.BEFORE) {
            pen.text(x + 9, y - 7, String.valueOf(mark.shot()), Lettering.CAPTION, Tone.READING, Anchor.START);
        }
    }

    /** What it shows, for who cannot see it. */
    static String words(Card card, UnitChoice units) {
        List<String> words = new ArrayList<>();
        card.live().ifPresent(live -> words.add("mark at " + place(live, units)));
        card.expected()
                .ifPresent(expected ->
                        words.add("expected at " + place(new Spot(expected.xMm(), expected.yMm()), units)));
        words.add(card.marks().size() + " earlier marks");
        return "card, facing the beam: " + String.join("; ", words);
    }

    private static String place(Spot spot, UnitChoice units) {
        return Amount.mm(Math.abs(spot.xMm()), 1).text(units)
                + (spot.xMm() < 0 ? " left, " : " right, ")
                + Amount.mm(Math.abs(spot.yMm()), 1).text(units)
                + (spot.yMm() < 0 ? " down" : " up");
    }
}
