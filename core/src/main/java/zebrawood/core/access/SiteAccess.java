package zebrawood.core.access;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.core.access.AccessFinding.Clearance;
import zebrawood.core.access.AccessFinding.Passage;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Evidence;
import zebrawood.core.procedure.Hazard;
import zebrawood.core.procedure.Help;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.Limits;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;

/** Whether a machine gets to its place, upright all the way, has room there, and what its floor is asked for. */
public final class SiteAccess implements Procedure<AccessReadings, AccessFinding> {

    /** fingers beside the machine; where nobody says how much room hands need */
    private static final double MARGIN_MM = 20;
    /** standard gravity, m/s², by definition */
    private static final double GRAVITY = 9.80665;

    /** kg that one person lifts at the most, under good conditions */
    private static final double ONE_LIFTS_KG = 25;
    /** people who can lift one thing together without gear */
    private static final int MOST_LIFT = 4;

    /** N under one foot, from which on a floor is dented without a plate */
    private static final double HEAVY_FOOT_N = 1_000;

    private static final Card CARD = new Card(
            "site-access",
            1,
            "Way in",
            Card.OnRoute.in(Phase.PLACE, 10),
            Set.of(Change.MOVED),
            List.of(Hazard.LIFTING),
            15,
            3650,
            new Help(
                    List.of(
                            "Size and mass of the machine as it is moved: in its crate, with its handles.",
                            "Clear width and height of every door and gate, leaf and handle in the way counted.",
                            "The passage before and after each corner; what the manual asks for behind, beside "
                                    + "and in front of it."),
                    List.of(
                            "Measure every opening at its narrowest: at the handle, at the threshold, under the "
                                    + "closer.",
                            "Walk the way once with a lath as long as the machine: pipes, extinguishers and steps "
                                    + "are not on the plan.",
                            "Measure again on the day; somebody puts a shelf there."),
                    "A machine that stands before a door that is six millimetres too narrow costs the day of four "
                            + "people.",
                    List.of(
                            "It stays upright all the way: lying down can damage tubes and mirrors.",
                            "Whether a floor carries it is for who is responsible for the building; this is an "
                                    + "estimate to bring to them.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<AccessReadings> readingsType() {
        return AccessReadings.class;
    }

    @Override
    public Class<AccessFinding> findingType() {
        return AccessFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return true;
    }

    @Override
    public Outcome<AccessFinding> evaluate(AccessReadings read) {
        AccessReadings.Machine machine = read.machine();
        double margin = read.marginMm().orElse(MARGIN_MM);
        double pressure = machine.massKg() * GRAVITY / (machine.widthMm() * machine.depthMm()) * 1000;
        double foot = machine.massKg() * GRAVITY / (read.feet().orElse(4) == 3 ? 3 : 2);
        AccessFinding finding = new AccessFinding(
                openings(read.openings(), machine, margin),
                corners(read.corners(), machine, margin),
                read.walls().stream().map(wall -> clearance(wall)).toList(),
                pressure,
                foot,
                read.floorRatingKPa().isPresent()
                        ? Optional.of(
                                Limits.atMost(pressure, read.floorRatingKPa().getAsDouble()))
                        : Optional.empty(),
                read.footRatingN().isPresent()
                        ? Optional.of(Limits.atMost(foot, read.footRatingN().getAsDouble()))
                        : Optional.empty(),
                read.other().map(other -> other(other, machine, margin)),
                new AccessFinding.Tolerances(margin));
        List<Instruction> instructions = new ArrayList<>();
        passages(read, finding, instructions);
        finding.walls().stream().filter(wall -> !wall.ok()).forEach(wall -> instructions.add(wall(wall, finding)));
        if (!finding.floorOk().orElse(true)) {
            instructions.add(Instruction.of(
                            "floor",
                            new Said(
                                    "Ask whoever is responsible for the building: the floor is rated for {0}, "
                                            + "and {1} are required.",
                                    List.of(
                                            kPa(read.floorRatingKPa().getAsDouble())
                                                    .most(),
                                            kPa(pressure).least())))
                    .byHand(Said.of("Do not bring it in before they answer.")));
        }
        if (!finding.footOk().orElse(true)) {
            instructions.add(Instruction.of(
                            "floor",
                            Said.of(
                                    "Ask whoever is responsible for the building for plates under the feet: a foot "
                                            + "presses with {0}, and the floor bears {1} there.",
                                    newtons(foot).least(),
                                    newtons(read.footRatingN().getAsDouble()).most()))
                    .byHand(Said.of("Do not bring it in before they answer.")));
        }
        Verdict verdict = instructions.isEmpty() ? Verdict.PASS : Verdict.FAIL;
        if (instructions.isEmpty()) {
            instructions.add(Instruction.of("way", Said.of("It goes in."))
                    .byHand(Said.of(
                            "Tightest is " + Said.quoted(finding.tightest().name())
                                    + ": {0} clearance. Upright all the way; an estimate, measure again on the day.",
                            mm(finding.tightest().spareMm()).most())));
            instructions.add(lifting(machine.massKg()));
            if (finding.footOk().isEmpty() && Limits.atLeast(foot, HEAVY_FOOT_N)) {
                instructions.add(Instruction.of(
                                "floor",
                                Said.of(
                                        "Put plates under the feet: one of them may press with {0}.",
                                        newtons(foot).least()))
                        .byHand(Said.of(
                                "A rigid frame may stand on two opposite feet. Ask what the floor bears under one.")));
            }
        }
        return new Outcome<>(finding, verdict, instructions);
    }

    /** People and gear, as a caution: what one person should lift is 25 kg at the most, and four do not lift as one. */
    private static Instruction lifting(double massKg) {
        Amount mass = new Amount(Quantity.MASS, massKg, 0).least();
        long people = (long) Math.ceil(massKg / ONE_LIFTS_KG - 1e-9);
        Said action = people <= MOST_LIFT
                ? Said.of(
                        (people == 1
                                        ? "Lift it with one person at the least"
                                        : "Lift it with " + people + " people or more")
                                + ": it weighs {0}.",
                        mass)
                : Said.of("Do not lift it by hand: it weighs {0}. Use a trolley or hoist rated for that.", mass);
        return Instruction.of("lifting", action)
                .byHand(Said.of(
                        "Hold it only where its manual says, step by step, nobody under it; stairs and hoists are"
                                + " for people who do that work."));
    }

    private static List<Passage> openings(
            List<AccessReadings.Opening> openings, AccessReadings.Machine machine, double margin) {
        return openings.stream()
                .map(opening -> passage(opening.name(), spare(opening, opening.widthMm(), machine), margin))
                .toList();
    }

    private static double spare(AccessReadings.Opening opening, double width, AccessReadings.Machine machine) {
        return Math.min(width - machine.breadthMm(), opening.heightMm() - machine.heightMm());
    }

    private static List<Passage> corners(
            List<AccessReadings.Turn> corners, AccessReadings.Machine machine, double margin) {
        return corners.stream()
                .map(corner -> passage(corner.name(), corner.of(machine).spareMm(), margin))
                .toList();
    }

    private static Passage passage(String name, double spare, double margin) {
        return new Passage(name, spare, Limits.atLeast(spare, margin));
    }

    private static Clearance clearance(AccessReadings.Wall wall) {
        double spare = wall.availableMm() - wall.neededMm();
        return new Clearance(wall.side(), spare, Limits.atLeast(spare, 0));
    }

    private static AccessFinding.OtherWay other(
            AccessReadings.Other other, AccessReadings.Machine machine, double margin) {
        List<Passage> openings = openings(other.openings(), machine, margin);
        List<Passage> corners = corners(other.corners(), machine, margin);
        Passage tightest = AccessFinding.tightest(openings, corners);
        return new AccessFinding.OtherWay(
                other.name(), tightest.name(), tightest.spareMm(), tightest.fits(), openings, corners);
    }

    /**
     * What to do about each place on the way that is too tight, the tightest first; by the other way, where that fits.
     */
    private static void passages(AccessReadings read, AccessFinding finding, List<Instruction> into) {
        List<Instruction> tight = new ArrayList<>();
        boolean curable = true;
        List<Passage> order = Stream.concat(finding.openings().stream(), finding.corners().stream())
                .filter(passage -> !passage.fits())
                .sorted(Comparator.comparingDouble(Passage::spareMm))
                .toList();
        for (Passage passage : order) {
            int opening = finding.openings().indexOf(passage);
            if (opening >= 0) {
                AccessReadings.Opening read1 = read.openings().get(opening);
                tight.add(opening(read1, read.machine(), finding.tolerances().marginMm()));
                curable &= leafHelps(read1, read.machine(), finding.tolerances().marginMm());
            } else {
                tight.add(corner(
                        read.corners().get(finding.corners().indexOf(passage)),
                        read.machine(),
                        passage,
                        finding.tolerances().marginMm()));
                curable = false;
            }
        }
        finding.other()
                .filter(other -> other.fits() && !order.isEmpty())
                .ifPresent(other -> into.add(Instruction.of("way", Said.of("Go by " + Said.quoted(other.name()) + "."))
                        .byHand(Said.of(
                                "Tightest there is " + Said.quoted(other.tightest()) + ": {0} clearance.",
                                mm(other.spareMm()).most()))));
        if (curable) {
            into.addAll(0, tight);
        } else {
            into.addAll(tight);
        }
    }

    private static boolean leafHelps(AccessReadings.Opening opening, AccessReadings.Machine machine, double margin) {
        return opening.leafOffMm().isPresent()
                && Limits.atLeast(spare(opening, opening.leafOffMm().getAsDouble(), machine), margin);
    }

    private static Instruction opening(AccessReadings.Opening opening, AccessReadings.Machine machine, double margin) {
        double wide = opening.widthMm() - machine.breadthMm() - margin;
        double high = opening.heightMm() - machine.heightMm() - margin;
        if (leafHelps(opening, machine, margin)) {
            double off = opening.leafOffMm().getAsDouble();
            return Instruction.of(
                            "opening",
                            new Said(
                                    "Take the door off its hinges at " + Said.quoted(opening.name())
                                            + ": {0} of the {1} clearance are missing.",
                                    List.of(mm(-wide).least(), mm(margin))))
                    .byHand(new Said(
                            "Without its leaf it is {0} wide and leaves {1} beyond the clearance wanted.",
                            List.of(
                                    mm(off),
                                    mm(spare(opening, off, machine) - margin).most())));
        }
        String missing = wide < 0 && high < 0
                ? "with the {2} clearance {0} are missing in its width and {1} in its height"
                : wide < 0
                        ? "with the {2} clearance {0} are missing in its width"
                        : "with the {2} clearance {1} are missing in its height";
        return Instruction.of(
                        "opening",
                        new Said(
                                capital(Said.quoted(opening.name())) + " is too tight: " + missing + ".",
                                List.of(mm(-wide).least(), mm(-high).least(), mm(margin))))
                .byHand(Said.of("Look for another way, or ask the maker which covers and feet come off; it stays "
                        + "upright."));
    }

    private static Instruction corner(
            AccessReadings.Turn turn, AccessReadings.Machine machine, Passage passage, double margin) {
        boolean narrow = turn.of(machine).way() == Corner.Way.NONE;
        String what = narrow
                ? (turn.approachWidthMm() <= turn.exitWidthMm() ? "the passage before it" : "the passage after it")
                : "the machine's length";
        return Instruction.of(
                        "corner",
                        new Said(
                                capital(Said.quoted(turn.name()))
                                        + " is too tight: with the {1} clearance {0} are missing in " + what + ".",
                                List.of(mm(margin - passage.spareMm()).least(), mm(margin))))
                .byHand(Said.of(
                        "Neither turned round nor sideways does it pass: look for another way, or ask the maker "
                                + "what comes off."));
    }

    private static Instruction wall(Clearance wall, AccessFinding finding) {
        String opposite = switch (wall.side()) {
            case "rear" -> "front";
            case "front" -> "rear";
            case "left" -> "right";
            case "right" -> "left";
            default -> "";
        };
        boolean room = finding.walls().stream()
                .anyMatch(other -> other.side().equals(opposite)
                        && Limits.atLeast(other.spareMm(), Math.ceil(-wall.spareMm() - 1e-6)));
        boolean unknown =
                finding.walls().stream().noneMatch(other -> other.side().equals(opposite));
        return Instruction.of(
                        "wall",
                        Said.of(
                                "Move it {0} away from the wall at its " + wall.side() + ".",
                                mm(-wall.spareMm()).least()))
                .byHand(Said.of(
                        room
                                ? "There is room for that on the other side."
                                : unknown
                                        ? "Measure on the other side whether there is room."
                                        : "On the other side there is not enough for that: turn it, or "
                                                + "find another place."));
    }

    private static String capital(String name) {
        return Character.toUpperCase(name.charAt(0)) + name.substring(1);
    }

    private static Amount mm(double mm) {
        return Amount.mm(mm, 0);
    }

    private static Amount newtons(double newtons) {
        return new Amount(Quantity.FORCE, newtons, 0);
    }

    private static Amount kPa(double kPa) {
        return new Amount(Quantity.FLOOR_LOAD, kPa, 1);
    }

    @Override
    public Said keyFigure(AccessFinding finding) {
        return Said.of("{0}", mm(finding.tightest().spareMm()));
    }

    @Override
    public List<Evidence> evidence(AccessFinding finding) {
        List<Evidence> evidence = new ArrayList<>(List.of(new Evidence(
                "tightest",
                Said.of(
                        Said.quoted(finding.tightest().name()) + ", {0}",
                        mm(finding.tightest().spareMm())))));
        finding.other()
                .ifPresent(other -> evidence.add(new Evidence(
                        "other way", Said.of(Said.quoted(other.tightest()) + ", {0}", mm(other.spareMm())))));
        finding.walls().stream()
                .min(Comparator.comparingDouble(Clearance::spareMm))
                .ifPresent(wall -> evidence.add(new Evidence(
                        "walls",
                        Said.of(
                                wall.side() + (wall.ok() ? ", {0} over need" : ", {0} missing"),
                                mm(Math.abs(wall.spareMm()))))));
        evidence.add(new Evidence("floor", Said.of("{0}", kPa(finding.pressureKPa()))));
        evidence.add(new Evidence("per foot", Said.of("{0}", new Amount(Quantity.FORCE, finding.footLoadN(), 0))));
        return evidence;
    }

    @Override
    public Said judgedBy(AccessFinding finding) {
        return Said.of(
                "{0} clearance on the way, what is needed at each wall, what the floor is rated for",
                mm(finding.tolerances().marginMm()));
    }
}
