package zebrawood.core.switching;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
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
import zebrawood.core.units.Said;

/**
 * Whether the order of switching is written so that a stranger can follow it: every step says what is seen when it is
 * right, and the ways down and after a power cut are there too. Which order is right for a machine, its manual says.
 */
public final class SwitchingOrder implements Procedure<OrderReadings, OrderFinding> {

    private static final int RECHECK_DAYS = 3650;

    private static final Card CARD = new Card(
            "startup-order",
            1,
            "Start-up order",
            Card.OnRoute.in(Phase.SERVICES, 80),
            Set.of(Change.SOURCE_CHANGED),
            List.of(Hazard.BEAM, Hazard.MOVING_AXES, Hazard.MAINS),
            10,
            RECHECK_DAYS,
            new Help(
                    List.of("The machine's manual: it says in which order.", "Ten minutes beside the machine."),
                    List.of(
                            "Take over the usual order of this family, and change what the manual says otherwise.",
                            "Write a step a line: what is done | what to wait for | what is seen | what goes wrong "
                                    + "otherwise.",
                            "Follow it once with the space bar, beside the machine."),
                    "Water before the laser, the laser last; in the evening the laser first and the water last. Data "
                            + "cable or power first differs from board to board: write what goes wrong here.",
                    List.of("After a power cut the switch is off before the mains come back.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<OrderReadings> readingsType() {
        return OrderReadings.class;
    }

    @Override
    public Class<OrderFinding> findingType() {
        return OrderFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return true;
    }

    @Override
    public Outcome<OrderFinding> evaluate(OrderReadings read) {
        List<OrderFinding.Gap> gaps = new ArrayList<>();
        for (Way way : Way.values()) {
            List<OrderReadings.Step> steps = read.of(way);
            if (steps.isEmpty()) {
                gaps.add(new OrderFinding.Gap(way, 0, ""));
            }
            for (int i = 0; i < steps.size(); i++) {
                if (steps.get(i).seen().isEmpty()) {
                    gaps.add(new OrderFinding.Gap(way, i + 1, steps.get(i).what()));
                }
            }
        }
        OrderFinding finding = new OrderFinding(
                read.up().size(), read.down().size(), read.afterCut().size(), gaps);
        List<Instruction> instructions = gaps.isEmpty()
                ? List.of(Instruction.of("order", Said.of("Follow it with the space bar, beside the machine."))
                        .byHand(Said.of("Where the machine's manual says otherwise, the manual comes first.")))
                : gaps.stream().map(SwitchingOrder::instruction).toList();
        return new Outcome<>(finding, gaps.isEmpty() ? Verdict.PASS : Verdict.UNCLEAR, instructions);
    }

    private static Instruction instruction(OrderFinding.Gap gap) {
        String target = gap.way().field() + gap.step();
        return gap.step() == 0
                ? Instruction.of(
                        target,
                        Said.of("Write the steps of \"" + gap.way().title() + "\": what is done, and what is seen when "
                                + "it is right."))
                : Instruction.of(
                        target,
                        Said.of(gap.way().title() + ", step " + gap.step() + ": write what is seen when \""
                                + Said.quoted(gap.what()) + "\" is right."));
    }

    @Override
    public Said keyFigure(OrderFinding finding) {
        return Said.of(finding.stepsUp() + " on, " + finding.stepsDown() + " off");
    }

    @Override
    public List<Evidence> evidence(OrderFinding finding) {
        return List.of(
                new Evidence("switching on", steps(finding.stepsUp())),
                new Evidence("switching off", steps(finding.stepsDown())),
                new Evidence("after a power cut", steps(finding.stepsAfterCut())));
    }

    private static Said steps(int many) {
        return Said.of(many == 1 ? "1 step" : many + " steps");
    }

    @Override
    public Said judgedBy(OrderFinding finding) {
        return Said.of("each step says what is seen, three ways");
    }
}
