package zebrawood.core.inventory;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zebrawood.core.inventory.InventoryReadings.Fibre;
import zebrawood.core.inventory.InventoryReadings.Part;
import zebrawood.core.inventory.InventoryReadings.Sort;
import zebrawood.core.inventory.InventoryReadings.State;
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
import zebrawood.core.units.Said;

/** Goes through what came with a machine, and what has to be so before it is switched on. */
public final class Inventory implements Procedure<InventoryReadings, InventoryFinding> {

    /** ten years: it is done again when the machine is moved */
    private static final int RECHECK_DAYS = 3650;

    private static final Card CARD = new Card(
            "inventory",
            1,
            "Inventory",
            Card.OnRoute.in(Phase.PLACE, 40),
            Set.of(Change.MOVED),
            List.of(Hazard.LIFTING, Hazard.MAINS, Hazard.MOVING_AXES),
            25,
            RECHECK_DAYS,
            new Help(
                    List.of(
                            "The packing list, a knife that does not cut deep, a tray with numbered places.",
                            "A camera: damage is photographed before anything is moved."),
                    List.of(
                            "Leave the mains off and the plug pulled.",
                            "Go down the list. Space: it is right. M: missing or not so. D: damaged. N: this machine "
                                    + "has none.",
                            "Put each screw into a numbered place of the tray and write where it came from. "
                                    + "Photograph the tray.",
                            "Tighten screws until they are snug and not more: what holds a mirror bends."),
                    "Shipping damage is told to the carrier within days, with photos; later nobody pays. A film that "
                            + "stays on a window burns in the beam, a transport lock that stays in wrecks a motor.",
                    List.of(
                            "What is damaged and carries mains, high voltage or the beam is a licensed person's work.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<InventoryReadings> readingsType() {
        return InventoryReadings.class;
    }

    @Override
    public Class<InventoryFinding> findingType() {
        return InventoryFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return true;
    }

    @Override
    public Outcome<InventoryFinding> evaluate(InventoryReadings read) {
        List<Part> asked =
                read.parts().stream().filter(part -> part.state() != State.NONE).toList();
        List<InventoryFinding.Lack> lacks = asked.stream()
                .filter(part -> part.state() != State.PRESENT)
                .map(part -> new InventoryFinding.Lack(part.name(), part.sort(), part.state(), part.remark()))
                .sorted(Comparator.comparingInt(Inventory::order))
                .toList();
        OptionalDouble left = radiusLeft(read.fibre());
        InventoryFinding finding = new InventoryFinding(asked.size(), asked.size() - lacks.size(), lacks, left);
        boolean tight = left.isPresent() && left.getAsDouble() < 0;
        boolean unknown = read.fibre().isPresent() && left.isEmpty();
        Verdict verdict =
                tight ? Verdict.FAIL : unknown ? Verdict.UNCLEAR : lacks.isEmpty() ? Verdict.PASS : Verdict.ADJUST;
        return new Outcome<>(finding, verdict, instructions(read, finding, tight, unknown));
    }

    private static OptionalDouble radiusLeft(Optional<Fibre> fibre) {
        if (fibre.isEmpty() || fibre.get().leastRadiusMm().isEmpty()) {
            return OptionalDouble.empty();
        }
        double lies = fibre.get().tightestRadiusMm();
        double least = fibre.get().leastRadiusMm().getAsDouble();
        return OptionalDouble.of(Limits.atLeast(lies, least) ? Math.max(0, lies - least) : lies - least);
    }

    /** What is not so comes first, then what is damaged, then what is missing. */
    private static int order(InventoryFinding.Lack lack) {
        return lack.state() == State.DAMAGED ? 1 : lack.sort() == Sort.CHECK ? 0 : 2;
    }

    private static List<Instruction> instructions(
            InventoryReadings read, InventoryFinding finding, boolean tight, boolean unknown) {
        List<Instruction> all = new ArrayList<>();
        if (tight) {
            Amount least = Amount.mm(read.fibre().orElseThrow().leastRadiusMm().getAsDouble(), 1)
                    .least();
            all.add(Instruction.of(
                            "fibre",
                            Said.of(
                                    "Lay the fibre in wider bends: {0} or more everywhere. Leave the mains off.",
                                    least))
                    .byHand(Said.of("A fibre that was bent tighter may be broken inside: its maker looks at it before "
                            + "it carries a beam.")));
        } else if (unknown) {
            all.add(Instruction.of(
                    "fibre", Said.of("Ask the maker how tight the delivery fibre may be bent, and type it.")));
        }
        for (InventoryFinding.Lack lack : finding.lacks()) {
            all.add(instruction(lack));
        }
        if (all.isEmpty()) {
            all.add(Instruction.of(
                            "packing",
                            Said.of("All is there and as it should be. Keep the packing while the warranty runs."))
                    .byHand(Said.of("Transport locks and caps go into one bag, with the machine's name on it.")));
        }
        return all;
    }

    private static Instruction instruction(InventoryFinding.Lack lack) {
        String name = Said.quoted(lack.name());
        if (lack.state() == State.DAMAGED) {
            return Instruction.of(lack.name(), Said.verbatim("Photograph the damage and replace: " + lack.name() + "."))
                    .byHand(Said.of("Tell the carrier in writing today. Leave the mains off until it is replaced."));
        }
        return lack.sort() == Sort.CHECK
                ? Instruction.of(lack.name(), Said.of("With the mains off, see to it that this is so: " + name + "."))
                : Instruction.of(lack.name(), Said.of("Order and fit what is missing: " + name + "."));
    }

    @Override
    public Said keyFigure(InventoryFinding finding) {
        return finding.lacks().isEmpty()
                ? Said.of("all " + finding.asked() + " right")
                : Said.of(finding.lacks().size() + " of " + finding.asked() + " not right");
    }

    @Override
    public List<Evidence> evidence(InventoryFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        evidence.add(new Evidence("right", Said.of(finding.right() + " of " + finding.asked())));
        count(finding, "missing", State.MISSING, Sort.PART).ifPresent(evidence::add);
        count(finding, "damaged", State.DAMAGED, Sort.PART).ifPresent(evidence::add);
        finding.radiusLeftMm()
                .ifPresent(left -> evidence.add(new Evidence(
                        left < 0 ? "fibre bent too tight by" : "fibre, radius over the least",
                        Said.of(
                                "{0}",
                                left < 0
                                        ? Amount.mm(-left, 1).least()
                                        : Amount.mm(left, 1).most()))));
        return evidence;
    }

    private static Optional<Evidence> count(InventoryFinding finding, String label, State state, Sort sort) {
        long many = finding.lacks().stream()
                .filter(lack -> lack.state() == state && (state == State.DAMAGED || lack.sort() == sort))
                .count();
        return many == 0 ? Optional.empty() : Optional.of(new Evidence(label, Said.of(String.valueOf(many))));
    }

    @Override
    public Said judgedBy(InventoryFinding finding) {
        return Said.of("every line there, whole, and so");
    }
}
