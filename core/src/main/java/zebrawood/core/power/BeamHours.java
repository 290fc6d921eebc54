package zebrawood.core.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.BeamTime;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Evidence;
import zebrawood.core.procedure.Help;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;

/** Counts how long a source has been on: due dates and trends go by it. */
public final class BeamHours implements Procedure<BeamHoursReadings, BeamHoursFinding> {

    private static final double MINUTES = 60;

    private static final Card CARD = new Card(
            "beam-hours",
            1,
            "Beam hours",
            Card.OnRoute.in(Phase.POWER, 5).asWanted(),
            Set.of(Change.SOURCE_CHANGED),
            List.of(),
            2,
            30,
            new Help(
                    List.of("The counter of source or controller, or the job times since the last time."),
                    List.of(
                            "Type what the counter shows. Without one: type the minutes of each job, or drop the job log on the"
                                    + " bench (CSV).",
                            "Say so where another source was fitted: its hours begin at 0."),
                    "A source wears by hours with the beam on, not by days. Checks of the source fall due by them.",
                    List.of("A counter may count the time with power on instead: then it is no beam time.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<BeamHoursReadings> readingsType() {
        return BeamHoursReadings.class;
    }

    @Override
    public Class<BeamHoursFinding> findingType() {
        return BeamHoursFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return true;
    }

    @Override
    public boolean tellsBeamTime() {
        return true;
    }

    @Override
    public Optional<BeamTime> beamTime(BeamHoursFinding finding) {
        return Optional.of(new BeamTime(finding.hours(), finding.perDayH()));
    }

    @Override
    public Outcome<BeamHoursFinding> evaluate(BeamHoursReadings read) {
        double before = read.isNew() ? 0 : read.beforeH().orElse(0);
        double hours = read.counterH().isPresent()
                ? read.counterH().getAsDouble() - read.counterAtSourceH().orElse(0)
                : before
                        + read.jobsMin().stream()
                                        .mapToDouble(Double::doubleValue)
                                        .sum()
                                / MINUTES;
        double added = hours - before;
        BeamHoursFinding finding = new BeamHoursFinding(
                hours,
                added,
                read.daysSince().isPresent() && read.beforeH().isPresent()
                        ? OptionalDouble.of(added / read.daysSince().getAsDouble())
                        : OptionalDouble.empty());
        return new Outcome<>(
                finding,
                Verdict.NOTE,
                List.of(Instruction.of("counter", Said.of("Read them again within a month."))
                        .byHand(Said.of("Checks of the source fall due by these hours: {0} now.", hours(hours)))));
    }

    static Amount hours(double hours) {
        return new Amount(Quantity.HOURS, hours, hours < 10 ? 1 : 0);
    }

    @Override
    public Said keyFigure(BeamHoursFinding finding) {
        return Said.of("{0}", hours(finding.hours()));
    }

    @Override
    public List<Evidence> evidence(BeamHoursFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        evidence.add(new Evidence("this source", Said.of("{0}", hours(finding.hours()))));
        evidence.add(new Evidence("since last time", Said.of("{0}", hours(finding.addedH()))));
        finding.perDayH()
                .ifPresent(day ->
                        evidence.add(new Evidence("in a day", Said.of("{0}", new Amount(Quantity.HOURS, day, 1)))));
        return evidence;
    }

    @Override
    public Said judgedBy(BeamHoursFinding finding) {
        return Said.of("counted, not judged");
    }
}
