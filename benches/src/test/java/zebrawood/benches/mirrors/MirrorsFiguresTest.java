package zebrawood.benches.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.core.beam.Spot;
import zebrawood.core.gantry.Build;
import zebrawood.core.gantry.Gantry;
import zebrawood.core.mirrors.MirrorPlan;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.mirrors.Screw;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.theme.Tone;
import zebrawood.testsupport.Drawn;

/** What is drawn of an alignment follows the finding at every moment of it, at any width and in either unit. */
class MirrorsFiguresTest {

    private static final PlanReadings.Run RUN = new PlanReadings.Run(120, 620, 120, 820);
    private static final UnitChoice INCHES = new UnitChoice(true, true);
    private static final double[][] SIZES = {{678, 300}, {560, 280}, {430, 250}};

    private static final List<PlanFinding> MOMENTS = new ArrayList<>();

    @BeforeAll
    static void someMachinesAligned() {
        for (int seed = 0; seed < 4; seed++) {
            Gantry machine = new Gantry(new SplittableRandom(seed), Build.USUAL);
            List<PlanReadings.Step> steps = new ArrayList<>();
            PlanFinding.Next next;
            do {
                PlanFinding finding = new MirrorPlan()
                        .evaluate(
                                new PlanReadings(RUN, List.of(), steps, OptionalDouble.empty(), OptionalDouble.empty()))
                        .finding();
                MOMENTS.add(finding);
                next = finding.next();
                follow(next, machine, steps);
            } while (next.act() == PlanFinding.Act.SHOOT || next.act() == PlanFinding.Act.TURN);
        }
    }

    private static void follow(PlanFinding.Next next, Gantry machine, List<PlanReadings.Step> steps) {
        next.turns().forEach(turn -> {
            machine.turn(turn.mirror(), turn.screw().ordinal(), turn.turns());
            steps.add(PlanReadings.Step.of(turn));
        });
        if (next.act() == PlanFinding.Act.SHOOT) {
            int mirror = next.mirror().orElseThrow();
            double gantry = next.gantryMm().orElseThrow();
            double[] mark = machine.shoot(mirror, gantry, next.carriageMm().orElse(0));
            steps.add(PlanReadings.Step.of(new PlanReadings.Shot(mirror, gantry, next.carriageMm(), mark[0], mark[1])));
        }
    }

    private static WayFigure.Way way(PlanFinding finding, boolean tube) {
        Optional<Steps.At> at = finding.next().gantryMm().isPresent()
                ? Optional.of(new Steps.At(
                        finding.next().mirror().orElseThrow(),
                        finding.next().gantryMm().getAsDouble(),
                        finding.next().carriageMm()))
                : Optional.empty();
        Set<Integer> lit =
                finding.next().turns().stream().map(PlanReadings.Turn::mirror).collect(Collectors.toSet());
        return new WayFigure.Way(
                RUN,
                Optional.of(finding.now()).filter(beam -> finding.shots() > 0),
                at,
                lit,
                finding.fault().map(PlanFinding.Fault::kind),
                tube,
                true);
    }

    private static Figure figure(WayFigure.Way way, UnitChoice units) {
        return (pen, width, height) -> WayFigure.draw(pen, way, units, width, height);
    }

    @Test
    void noWordOfTheWayStandsOnAnotherAtAnyMoment() {
        List<String> crowded = new ArrayList<>();
        for (PlanFinding moment : MOMENTS) {
            for (double[] size : SIZES) {
                for (UnitChoice units : List.of(UnitChoice.METRIC, INCHES)) {
                    for (boolean tube : new boolean[] {false, true}) {
                        crowded.addAll(Drawn.of(figure(way(moment, tube), units), size[0], size[1])
                                .crowded(size[0], size[1]));
                    }
                }
            }
        }
        assertThat(MOMENTS).hasSizeGreaterThan(30);
        assertThat(crowded).isEmpty();
    }

    /** However far a mirror is off, the enlarged beam stays in sight, and the factor is a round one that is said. */
    @Test
    void theEnlargedBeamStaysInTheDrawing() {
        for (PlanFinding moment : MOMENTS) {
            for (double[] size : SIZES) {
                Drawn drawn = Drawn.of(figure(way(moment, false), UnitChoice.METRIC), size[0], size[1]);
                assertThat(drawn.areas())
                        .filteredOn(area -> area.tone() == Tone.BEAM)
                        .isNotEmpty()
                        .allMatch(area -> area.left() >= -1
                                && area.right() <= size[0] + 1
                                && area.top() >= -1
                                && area.bottom() <= size[1] + 1);
                double factor = WayFigure.enlarged(way(moment, false), size[0], size[1]);
                assertThat(factor).isGreaterThanOrEqualTo(1);
                String digits = String.format(Locale.ROOT, "%.0f", factor).replace("0", "");
                assertThat(digits).isIn("1", "2", "5");
            }
        }
    }

    @ParameterizedTest
    @EnumSource(PlanFinding.Kind.class)
    void aFaultIsShownWhereToLook(PlanFinding.Kind kind) {
        boolean atMirror = kind == PlanFinding.Kind.LOOSE_MIRROR || kind == PlanFinding.Kind.MIRROR_PLACE;
        WayFigure.Way faulty = new WayFigure.Way(
                RUN,
                Optional.of(MOMENTS.get(3).now()),
                Optional.empty(),
                atMirror ? Set.of(2) : Set.of(),
                Optional.of(kind),
                false,
                true);
        Drawn drawn = Drawn.of(figure(faulty, UnitChoice.METRIC), 678, 300);
        assertThat(drawn.texts())
                .filteredOn(text -> text.text().equals("look here"))
                .singleElement()
                .satisfies(text -> assertThat(text.tone()).isEqualTo(Tone.FAIL));
        assertThat(drawn.words()).doesNotContain("turn here", "shoot here");
    }

    @Test
    void aTubeThatFiresAlongTheTravelHasNoMirrorBeforeIt() {
        String two = Drawn.of(figure(way(MOMENTS.get(0), true), UnitChoice.METRIC), 678, 300)
                .words();
        assertThat(two).contains("tube", "mirror").doesNotContain("mirror 1", "mirror 2");
    }

    /** What is pointed at on a card is where its mark is drawn, whatever the card shows besides. */
    @Test
    void whatIsPointedAtIsWhereItIsDrawn() {
        SplittableRandom random = new SplittableRandom(5);
        for (int i = 0; i < 200; i++) {
            Spot mark = new Spot(60 * random.nextDouble() - 30, 60 * random.nextDouble() - 30);
            CardFigure.Card card = new CardFigure.Card(
                    List.of(new CardFigure.Mark(mark, 1, CardFigure.Sort.HERE)),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
            double width = 150 + 200 * random.nextDouble();
            double perMm = CardFigure.perMm(card, width);
            Spot back = CardFigure.at(card, width, width / 2 + mark.xMm() * perMm, width / 2 - mark.yMm() * perMm);
            assertThat(back.distanceMm(mark)).isCloseTo(0, within(1e-9));
            assertThat(Math.max(Math.abs(mark.xMm()), Math.abs(mark.yMm()))).isLessThan(card.halfMm());
        }
    }

    /** The screw in hand alone is lit, with an arrow of its own; what comes after it is only said. */
    @Test
    void onlyTheScrewInHandIsLit() {
        List<PlanReadings.Turn> asked = List.of(
                new PlanReadings.Turn(2, Screw.A, -0.41),
                new PlanReadings.Turn(2, Screw.A, 0.07),
                new PlanReadings.Turn(1, Screw.B, 0.2));
        Drawn drawn = Drawn.of(
                (pen, width, height) -> MountFigure.draw(
                        pen, asked, asked.subList(0, 2), List.of(), MirrorsBench.names(false), width, height),
                329,
                190);
        assertThat(drawn.areas()).filteredOn(area -> area.tone() == Tone.STRAW).hasSize(1);
        assertThat(drawn.texts())
                .filteredOn(text -> text.text().contains("clockwise"))
                .extracting(Drawn.Text::text, Drawn.Text::tone)
                .containsExactlyInAnyOrder(
                        tuple("A anticlockwise 0.41", Tone.WALNUT),
                        tuple("A clockwise 0.07", Tone.WALNUT),
                        tuple("B clockwise 0.20", Tone.QUIET));
        assertThat(drawn.crowded(329, 190)).isEmpty();
    }

    @Test
    void whatIsReckonedByHandIsSaidInTheUnitsThatAreShown() {
        PlanReadings readings = new PlanReadings(
                RUN,
                List.of(),
                List.of(
                        PlanReadings.Step.of(new PlanReadings.Shot(2, 620, OptionalDouble.of(820), 2.1, 0)),
                        PlanReadings.Step.of(new PlanReadings.Shot(2, 620, OptionalDouble.of(120), 0.7, 0))),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        assertThat(Drawn.of(SchoolFigure.byHand(readings, UnitChoice.METRIC), 330, 190)
                        .words())
                .contains("1.4 mm", "2.0 mrad", "0.08 turn");
        assertThat(Drawn.of(SchoolFigure.byHand(readings, INCHES), 330, 190).words())
                .contains("0.055 in")
                .doesNotContain(" mm");
    }
}
