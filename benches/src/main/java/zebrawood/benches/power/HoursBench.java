package zebrawood.benches.power;

import java.io.File;
import java.io.IOException;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.power.BeamHoursFinding;
import zebrawood.core.power.BeamHoursReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.FromFile;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;

/** How long the beam was on: off a counter, job by job, or out of a job log. */
public final class HoursBench extends FormBench<BeamHoursReadings, BeamHoursFinding> {

    private static final String JOBS = "jobsMin";
    private static final String BEFORE = "beforeH";
    private static final String DAYS = "daysSince";
    private static final double DAY_S = 86_400;

    public static final FieldList FIELDS = FieldList.of(
            Field.amount("counterH", "counter shows", Quantity.HOURS)
                    .empty("or job times")
                    .anew(),
            Field.amount("counterAtSourceH", "with new source", Quantity.HOURS).empty("0"),
            Field.oneOf(
                            "source",
                            "the source is",
                            List.of(new Choice("same", "the same"), new Choice("new", "another one")))
                    .anew(),
            Field.many(JOBS, "or job times", Quantity.MINUTES).anew());

    public HoursBench(BenchPlace place) {
        super(place, FIELDS, "hours with the beam on, not hours with the power on");
    }

    private Optional<Entry> last() {
        return place().earlier().stream().findFirst();
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        if (!text(BEFORE).isEmpty()) {
            sheet.aside(BEFORE, Quantity.HOURS).ifPresent(hours -> sheet.number(BEFORE, hours));
            sheet.aside(DAYS, Quantity.DAYS).ifPresent(days -> sheet.number(DAYS, days));
        } else {
            sinceLastTime(sheet);
        }
        if (text("counterH").isEmpty() && text(JOBS).isEmpty()) {
            sheet.lacks("hours");
        }
    }

    /** What an entry holds beside its fields stands in the draft while it is shown. */
    @Override
    public Map<String, Draft.Text> texts(BeamHoursReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>(super.texts(readings, asTyped, whole));
        if (whole) {
            Draft.put(texts, BEFORE, Amount.exact(readings.beforeH().orElse(0)));
            readings.daysSince().ifPresent(days -> Draft.put(texts, DAYS, Amount.exact(days)));
        }
        return texts;
    }

    private void sinceLastTime(Worksheet sheet) {
        last().ifPresent(entry -> {
            BeamHoursFinding before = (BeamHoursFinding) ((Body.Measured) entry.body()).finding();
            sheet.number(BEFORE, before.hours());
            double days =
                    Duration.between(entry.stamp().at(), place().workplace().now())
                                    .toSeconds()
                            / DAY_S;
            if (days >= 1) {
                sheet.number(DAYS, days);
            }
        });
    }

    @Override
    protected String head(Showing<BeamHoursReadings, BeamHoursFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> "This source has been on for " + HoursFigure.hours(found.hours(), units))
                .orElse("How long the beam was on");
    }

    @Override
    protected Figure figure(Showing<BeamHoursReadings, BeamHoursFinding> now, UnitChoice units) {
        return HoursFigure.of(now.finding(), units);
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    /** A job log: a column of minutes, seconds or hours, a line a job. */
    @Override
    public Optional<String> take(File file) {
        if (CeilingBench.tooLong(file)) {
            return Optional.of(CeilingBench.TOO_LONG);
        }
        JobLogFile.Summed summed;
        try {
            summed = JobLogFile.read(file.toPath());
        } catch (IOException e) {
            return Optional.of("that file cannot be read");
        }
        if (summed.jobs() == 0) {
            return Optional.of(
                    "no job times are found in it: a column must be named beam min, duration s, minutes or hours");
        }
        place().draft().type(JOBS, String.format(Locale.ROOT, "%.1f", summed.minutes()), UnitChoice.METRIC);
        place().workplace()
                .tell(Amount.plain(summed.jobs(), 0).number(UnitChoice.METRIC) + " jobs, "
                        + String.format(Locale.ROOT, "%.1f", summed.minutes()) + " min in all"
                        + (summed.leftOut() == 0
                                ? "."
                                : "; lines without a time, left out: " + summed.leftOut() + "."));
        return Optional.empty();
    }

    @Override
    public Optional<Node> otherSchool(Showing<BeamHoursReadings, BeamHoursFinding> now) {
        return now.measuring()
                ? Optional.of(FromFile.link(
                        place().workplace(),
                        "read-jobs",
                        "Read a job log",
                        "A CSV with a line a job: its times are summed up.",
                        this::take))
                : Optional.empty();
    }

    @Override
    public String next() {
        return "Type what the counter shows, or the minutes of each job.";
    }
}
