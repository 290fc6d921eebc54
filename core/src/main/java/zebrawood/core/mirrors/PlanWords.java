package zebrawood.core.mirrors;

import java.util.ArrayList;
import java.util.List;
import zebrawood.core.beam.Spot;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Said;
import zebrawood.core.units.TurnWords;

/** What an alignment says to whoever stands at the machine. */
final class PlanWords {

    private static final String SAFELY = "Lowest power that marks, one short pulse; eyes and hands out of the path.";

    /** what a place loses by being said to a tenth of a millimetre in both directions */
    private static final double ROUNDED_MM = 0.05 * Math.sqrt(2);

    private final PlanFinding finding;

    PlanWords(PlanFinding finding) {
        this.finding = finding;
    }

    List<Instruction> instructions() {
        return switch (finding.next().act()) {
            case DONE -> List.of(done());
            case SHOOT -> List.of(shot("Shoot"));
            case TURN -> turns();
            case MOVE -> List.of(move());
            case LOOK -> List.of(look());
        };
    }

    private Instruction done() {
        boolean turned = finding.history().stream().anyMatch(made -> made.turnsBefore() > 0);
        return Instruction.of(
                        "mirrors",
                        Said.of(
                                turned
                                        ? "The mirrors are true. Turn no screw any more."
                                        : "Leave the mirrors alone: they are true as they are."))
                .byHand(Said.of("Record it. Where there is a pointer, read its spot last."));
    }

    private List<Instruction> turns() {
        List<Instruction> instructions = new ArrayList<>();
        List<PlanReadings.Turn> turns = finding.next().turns();
        for (int i = 0; i < turns.size(); i++) {
            PlanReadings.Turn turn = turns.get(i);
            boolean twice = i + 1 < turns.size()
                    && turns.get(i + 1).mirror() == turn.mirror()
                    && turns.get(i + 1).screw() == turn.screw();
            String screw = "Turn screw " + turn.screw() + " of " + name(turn.mirror()) + " ";
            if (twice) {
                PlanReadings.Turn back = turns.get(++i);
                instructions.add(Instruction.of(
                                target(turn),
                                Said.of(
                                        screw + way(turn) + " by {0} turn, then " + way(back) + " by {1} turn.",
                                        by(turn),
                                        by(back)))
                        .byHand(Said.of(safely(turn, instructions) + "That is " + TurnWords.of(turn.turns())
                                + ", and back " + TurnWords.of(back.turns()) + ": so the play is taken up.")));
            } else {
                instructions.add(Instruction.of(target(turn), Said.of(screw + way(turn) + " by {0} turn.", by(turn)))
                        .byHand(Said.of(safely(turn, instructions) + "That is " + TurnWords.of(turn.turns()) + ".")));
            }
        }
        instructions.add(shot("Then shoot"));
        return instructions;
    }

    /** What a mirror is called: on a machine with two of them the tube's holder stands in the place of the first. */
    private String name(int mirror) {
        if (!finding.startsAtTheTube()) {
            return "mirror " + mirror;
        }
        return mirror == 1 ? "the tube's holder" : "the gantry's mirror";
    }

    /** Said once, with the first turn; of a tube each time. */
    private String safely(PlanReadings.Turn turn, List<Instruction> before) {
        if (finding.startsAtTheTube() && turn.mirror() == 1) {
            return "High voltage is at the tube: main switch off, plug pulled, and wait as its manual says; its "
                    + "wiring is a licensed person's work. ";
        }
        return before.isEmpty() ? "Beam off and axes still before a hand goes in. " : "";
    }

    /** The part that a turn is done to, as the drawing knows it. */
    static String target(PlanReadings.Turn turn) {
        return "mirror-" + turn.mirror() + "-" + turn.screw();
    }

    private static String way(PlanReadings.Turn turn) {
        return turn.turns() < 0 ? "anticlockwise" : "clockwise";
    }

    private static Amount by(PlanReadings.Turn turn) {
        return Amount.plain(Math.abs(turn.turns()), 2);
    }

    private Instruction shot(String shoot) {
        PlanFinding.Next next = finding.next();
        boolean head = next.carriageMm().isPresent();
        String from = finding.startsAtTheTube() ? "the tube" : "mirror 1";
        String where = head
                ? " at the head: gantry {0} from " + from + ", head {1} from " + name(2) + "."
                : " at " + name(2) + ": gantry {0} from " + from + ".";
        Said said = Said.of(
                shoot + where,
                Amount.mm(next.gantryMm().orElse(0), 0),
                Amount.mm(next.carriageMm().orElse(0), 0));
        Said card = Said.of((head
                        ? "Tape a card over the opening of the head. "
                        : "Tape a card before " + name(2) + ": it covers the mirror. ")
                + (head && !finding.cardAtMirror2() ? unseen() : "")
                + SAFELY);
        Instruction instruction =
                Instruction.of(head ? "head" : "mirror-2", said).byHand(card);
        return finding.expected()
                .map(expected -> {
                    Spot spot = new Spot(expected.xMm(), expected.yMm());
                    if (Sides.isOnTheCross(spot)) {
                        return instruction.expecting(Said.of(
                                "The mark should sit within {0} of the cross.",
                                Amount.mm(expected.errorMm() + ROUNDED_MM, 1).least()));
                    }
                    return instruction.expecting(Said.of(
                            "The mark should sit within {2} of a place " + Sides.words(spot, 0) + " from the cross.",
                            Sides.across(spot),
                            Sides.upright(spot),
                            Amount.mm(expected.errorMm() + ROUNDED_MM, 1).least()));
                })
                .orElse(instruction);
    }

    private String unseen() {
        return "No card goes before " + name(2) + ", so it is skipped: where no mark shows, the beam missed a mirror. "
                + "Stop then, and find where it went. ";
    }

    private Instruction move() {
        int mirror = finding.next().mirror().orElse(1);
        Spot beside = finding.next().beside().orElse(new Spot(0, 0));
        String where = Sides.words(beside, 0) + " from the cross, however its screws stand";
        return mirror == 1
                ? Instruction.of(
                                "mirror-1",
                                Said.of(
                                        (finding.startsAtTheTube() ? "Move the tube" : "Move mirror 1 or the tube")
                                                + ": on a card at " + name(2) + " the beam sits " + where + ".",
                                        Sides.across(beside),
                                        Sides.upright(beside)))
                        .byHand(Said.of(
                                "Power off at the main switch before the tube is touched; its high voltage is a "
                                        + "licensed person's work. Then begin again with the first shot."))
                : Instruction.of(
                                "mirror-2",
                                Said.of(
                                        "Move " + name(2) + " on its bracket: on a card at the head the beam sits "
                                                + where + ".",
                                        Sides.across(beside),
                                        Sides.upright(beside)))
                        .byHand(Said.of(
                                "Power off before hands are in the machine. Then begin again with the first shot."));
    }

    private Instruction look() {
        return finding.fault().map(this::look).orElseGet(this::tooCoarse);
    }

    private Instruction tooCoarse() {
        return Instruction.of(
                        "card", Said.of("Stop here: marks read like this cannot show whether the corners are true."))
                .byHand(Said.of(
                        "No fault shows. {0} shots were made, and they are still not sure to {1}. Read the marks with a loupe, "
                                + "use thinner paper and less power, then begin again.",
                        Amount.plain(finding.shots(), 0),
                        Amount.mm(finding.tolerances().toleranceMm(), 2)));
    }

    private Instruction look(PlanFinding.Fault fault) {
        String mirror = fault.mirror().map(this::name).orElse("the mirrors");
        return switch (fault.kind()) {
            case RAILS ->
                Instruction.of(
                                "rails",
                                Said.of(
                                        "Look at the rails: the marks change along them as no straight rail makes them."))
                        .byHand(
                                Said.of(
                                        "Power off. Look for play in wheels and bearings, dirt on the rail, a rail that "
                                                + "is bent or not screwed down. Mend that, then begin again: no mirror screw mends it."));
            case LOOSE_MIRROR ->
                Instruction.of(
                                fault.mirror().map(number -> "mirror-" + number).orElse("mirrors"),
                                Said.of("Look at " + mirror + ": the beam jumps between two shots."))
                        .byHand(Said.of(
                                "Power off. Press lightly on the mount: nothing may move. Tighten mirror, mount "
                                        + "and bracket, the springs too. Then begin again."));
            case CLIPPING ->
                Instruction.of(
                                "head",
                                Said.of("Look for what cuts the beam off before the card: the marks end at an edge."))
                        .byHand(Said.of(
                                "Power off. Look at openings, tubes, covers and cables on the way, from mirror to "
                                        + "mirror. Clear the way, then begin again."));
            case MIRROR_PLACE -> move();
        };
    }
}
