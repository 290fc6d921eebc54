package zebrawood.benches.power;

import java.io.File;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.machine.Plate;
import zebrawood.core.power.BeamHoursFinding;
import zebrawood.core.power.CeilingFinding;
import zebrawood.core.power.CeilingReadings;
import zebrawood.core.power.SafeCommand;
import zebrawood.core.power.TubeCeiling;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.FromFile;
import zebrawood.kit.bench.Practising;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Ticket;

/** The meter of a tube, how far it may go, and what seals it there. */
public final class CeilingBench extends FormBench<CeilingReadings, CeilingFinding> {

    static final int MOST_READINGS = 12;
    static final String SCHOOL = "school";
    static final String CAP = "cap";
    static final String AS_FOUND = "recheck.asFoundMa";
    static final String RATED = "ratedMaximumMa";
    private static final String METER = "meter";
    private static final String NO_METER = "none";
    private static final String FIRMWARE = "firmwareMaxS";
    static final String TOO_LONG = "that file is longer than 200 MB: take a part of it";
    private static final String SHOWN = "ofEntry";
    private static final List<String> HIDDEN_NUMBERS = List.of("recheck.leftMa", "recheck.beamHours");
    private static final List<String> HIDDEN_WORDS =
            List.of("recheck.testName", "recheck.testSha256", "recheck.lastSha256");

    public static final FieldList FIELDS = FieldList.of(
                    Field.oneOf(
                            SCHOOL,
                            "sealed by",
                            List.of(new Choice("dial", "panel control"), new Choice(CAP, "software cap"))),
                    Field.oneOf(
                                    METER,
                                    "current meter",
                                    List.of(new Choice("", "there is one"), new Choice(NO_METER, "there is none")))
                            .own(),
                    Field.oneOf(
                            "figureFrom",
                            "most is from",
                            List.of(
                                    new Choice("tube-maker", "tube's maker"),
                                    new Choice("machine-maker", "machine's"),
                                    new Choice("measured", "measured"))),
                    Field.amount(RATED, "most allowed", Quantity.CURRENT).needed(),
                    Field.amount("ceilingMa", "work at most at", Quantity.CURRENT)
                            .empty("70 % of it"),
                    Field.amount("ceilingFraction", "or as a share", Quantity.PLAIN)
                            .empty("0.7"),
                    Field.amount("toleranceMa", "right within ±", Quantity.CURRENT)
                            .empty("0.5"),
                    Field.amount(FIRMWARE, "S of 100 %", Quantity.PLAIN).empty("for a cap"),
                    Field.amount(AS_FOUND, "as found, 100 %", Quantity.CURRENT)
                            .empty("at a recheck")
                            .anew(),
                    Field.words("recheck.control", "control stands").anew())
            .rows(
                    "samples",
                    MOST_READINGS,
                    Field.amount("commandPct", "command", Quantity.SHARE).anew(),
                    Field.amount("currentMa", "current", Quantity.CURRENT).anew());

    private final Practising practice;
    private Optional<TestFile> test = Optional.empty();

    public CeilingBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "the meter of the tube to scale; beside it every reading over its command",
                place.plate()
                        .source()
                        .map(Plate.Source::ratedCurrentMa)
                        .filter(OptionalDouble::isPresent)
                        .map(rated -> Map.of(RATED, new Amount(Quantity.CURRENT, rated.getAsDouble(), 1)))
                        .orElse(Map.of()));
        practice = new Practising(place);
    }

    private boolean noMeter() {
        return text(METER).equals(NO_METER);
    }

    private boolean isCap() {
        return text(SCHOOL).equals(CAP);
    }

    /** The newest time that it was left in order. */
    private Optional<Body.Measured> last() {
        return place().earlier().stream()
                .map(entry -> (Body.Measured) entry.body())
                .filter(measured -> measured.verdict().satisfies())
                .findFirst();
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        if (!text(SHOWN).isEmpty()) {
            HIDDEN_NUMBERS.forEach(name -> number(name).ifPresent(value -> sheet.number(name, value)));
            HIDDEN_WORDS.stream().filter(name -> !text(name).isEmpty()).forEach(name -> sheet.word(name, text(name)));
        } else {
            sinceLastTime(sheet);
        }
        if (noMeter()) {
            sheet.lacks("a current meter");
        } else if (form().filledRows().isEmpty()) {
            sheet.lacks("readings");
        }
    }

    private OptionalDouble number(String name) {
        String text = text(name);
        return text.matches("[0-9.]{1,20}") ? OptionalDouble.of(Double.parseDouble(text)) : OptionalDouble.empty();
    }

    /** What an entry holds beside its fields stands in the draft while it is shown. */
    @Override
    public Map<String, Draft.Text> texts(CeilingReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>(super.texts(readings, asTyped, whole));
        if (whole) {
            Draft.put(texts, SHOWN, "entry");
            readings.recheck().ifPresent(recheck -> {
                recheck.leftMa().ifPresent(ma -> Draft.put(texts, "recheck.leftMa", Amount.exact(ma)));
                recheck.beamHours().ifPresent(hours -> Draft.put(texts, "recheck.beamHours", Amount.exact(hours)));
                recheck.testName().ifPresent(name -> Draft.put(texts, "recheck.testName", name));
                recheck.testSha256().ifPresent(hash -> Draft.put(texts, "recheck.testSha256", hash));
                recheck.lastSha256().ifPresent(hash -> Draft.put(texts, "recheck.lastSha256", hash));
            });
        }
        return texts;
    }

    private void sinceLastTime(Worksheet sheet) {
        if (practice.isOn()) {
            if (!isCap()) {
                sheet.number("recheck.leftMa", new CeilingPractice(practice).leftMa());
            }
            return;
        }
        place().found("beam-hours", BeamHoursFinding.class)
                .ifPresent(counted -> sheet.number("recheck.beamHours", counted.hours()));
        last().ifPresent(left -> {
            CeilingFinding found = (CeilingFinding) left.finding();
            if (found.school() == CeilingReadings.School.DIAL && !isCap()) {
                found.currentAt100Ma().ifPresent(ma -> sheet.number("recheck.leftMa", ma));
            }
            ((CeilingReadings) left.readings())
                    .recheck()
                    .flatMap(CeilingReadings.Recheck::testSha256)
                    .ifPresent(hash -> sheet.word("recheck.lastSha256", hash));
        });
        test.ifPresent(kept -> {
            sheet.word("recheck.testName", kept.name());
            sheet.word("recheck.testSha256", kept.sha256());
        });
    }

    @Override
    protected String head(Showing<CeilingReadings, CeilingFinding> now, UnitChoice units) {
        if (noMeter()) {
            return "Without a current meter nobody knows the ceiling: percent does not tell it";
        }
        return practice.head(now.finding()
                .map(found -> found.currentAt100Ma().stream()
                                .mapToObj(ma -> "At 100 % the tube draws " + CeilingFigure.ma(ma, units))
                                .findFirst()
                                .orElse("What 100 % draws is not known yet")
                        + "; its ceiling is " + CeilingFigure.ma(found.ceilingMa(), units))
                .orElse("How far the tube may go"));
    }

    @Override
    protected Figure figure(Showing<CeilingReadings, CeilingFinding> now, UnitChoice units) {
        Worksheet sheet = Worksheet.of(place().draft());
        double rated = sheet.aside(RATED, Quantity.CURRENT)
                .orElse(place().plate()
                        .source()
                        .map(Plate.Source::ratedCurrentMa)
                        .orElse(OptionalDouble.empty())
                        .orElse(30));
        return noMeter() ? CeilingFigure.without(rated) : CeilingFigure.of(now.finding(), rated, units);
    }

    @Override
    public List<Node> tickets(Showing<CeilingReadings, CeilingFinding> now) {
        List<Node> tickets = new ArrayList<>();
        if (noMeter()) {
            tickets.add(
                    Slip.quiet(
                            "Have a meter for the tube's current (0 to 50 mA) fitted by a licensed person: there is high"
                                    + " voltage, also with the power off. Until then keep the power as low as the job lets you."));
        }
        now.outcome()
                .filter(outcome -> !outcome.verdict().satisfies()
                        && outcome.instructions().stream()
                                .anyMatch(each -> each.target().equals(CAP)))
                .map(outcome -> outcome.finding().capS())
                .filter(OptionalDouble::isPresent)
                .ifPresent(cap -> {
                    tickets.add(Ticket.of(
                            place().workplace(), "Cap ticket", cap(cap.getAsDouble()), !now.measuring(), "cap"));
                    tickets.add(
                            Slip.quiet("Then read the settings at the stop Settings: it keeps watch over the cap."));
                });
        now.finding()
                .flatMap(CeilingFinding::found)
                .flatMap(CeilingFinding.Found::sameTest)
                .filter(same -> same)
                .ifPresent(same -> tickets.add(Slip.quiet("The test is the same file as last time.")));
        return tickets;
    }

    /** What is typed in the job software, and the way back. */
    private List<String> cap(double s) {
        List<String> lines = new ArrayList<>(List.of("full power S " + Amount.exact(s)));
        Worksheet.of(place().draft())
                .aside(FIRMWARE, Quantity.PLAIN)
                .ifPresent(was -> lines.add("way back   S " + Amount.exact(was)));
        return lines;
    }

    @Override
    public String footnote() {
        OptionalDouble now = text(SHOWN).isEmpty()
                ? place().found("beam-hours", BeamHoursFinding.class).stream()
                        .mapToDouble(BeamHoursFinding::hours)
                        .findFirst()
                : number(HIDDEN_NUMBERS.get(1));
        return now.isEmpty()
                ? "Due again by days; count the beam hours, then by those too"
                : "Due again by days, or at "
                        + HoursFigure.hours(now.getAsDouble() + TubeCeiling.RECHECK_HOURS, place().units())
                        + " of beam if that is sooner";
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    /** Whether a file is longer than any of a bench; it is read while the window waits. */
    static boolean tooLong(File file) {
        return file.length() > NewAttachment.LONGEST_BYTES;
    }

    /** The test's own file: its hash tells whether the next recheck burns the same. */
    @Override
    public Optional<String> take(File file) {
        if (tooLong(file)) {
            return Optional.of(TOO_LONG);
        }
        try {
            test = Optional.of(TestFile.of(file));
        } catch (IOException e) {
            return Optional.of("that file cannot be read");
        }
        place().draft().type("testFile", file.getName(), place().units());
        place().workplace()
                .tell("The test goes along with the entry, and its hash: at the next recheck it is compared.");
        return Optional.empty();
    }

    @Override
    public List<NewAttachment> attachments() {
        return test.map(kept -> List.of(kept.kept())).orElse(List.of());
    }

    @Override
    public Optional<String> notForTheRecord() {
        return practice.notForTheRecord();
    }

    @Override
    public Optional<Node> otherSchool(Showing<CeilingReadings, CeilingFinding> now) {
        if (!now.measuring()) {
            return Optional.empty();
        }
        return Optional.of(
                practice.isOn()
                        ? practice.shown("a pretend tube")
                        : new VBox(
                                FromFile.link(
                                        place().workplace(),
                                        "test-file",
                                        "Keep the test's own file",
                                        "The job that is burned for the test: it goes along with the entry, and the next recheck"
                                                + " is told whether it is the same.",
                                        this::take),
                                Practising.offer(
                                        "a pretend tube", () -> CeilingPractice.begin(practice, text(SCHOOL)))));
    }

    @Override
    public List<Node> steps(Showing<CeilingReadings, CeilingFinding> now) {
        if (!practice.isOn() || !now.measuring()) {
            return List.of();
        }
        CeilingPractice tube = new CeilingPractice(practice);
        List<Integer> read = form().filledRows();
        if (!isCap()) {
            return tube.dialStep(
                    !text(AS_FOUND).isEmpty(),
                    now.outcome()
                            .filter(outcome -> outcome.verdict().satisfies())
                            .isPresent(),
                    place().units());
        }
        double next = now.finding()
                .map(found -> found.nextCommandPct().orElse(-1))
                .orElseGet(() -> read.isEmpty()
                        ? SafeCommand.FIRST_PCT
                        : first().map(FirstOfCap::next).orElse(-1.0));
        return tube.capStep(read.size(), next, now.finding(), place().units());
    }

    private Optional<FirstOfCap> first() {
        return isCap() ? FirstOfCap.of(place().draft(), form().filledRows(), ratedOnPlate()) : Optional.empty();
    }

    private Optional<Double> ratedOnPlate() {
        return place().plate()
                .source()
                .flatMap(source -> source.ratedCurrentMa().stream().boxed().findFirst());
    }

    @Override
    public String next() {
        Optional<FirstOfCap> first = first();
        if (!noMeter() && first.isPresent()) {
            return first.get().said().in(place().units());
        }
        if (noMeter()) {
            return "Have a current meter fitted by a licensed person, then read it here.";
        }
        if (form().filledRows().isEmpty()) {
            return isCap()
                    ? "Burn the test at 10 %, two or three seconds, and read the meter."
                    : "Turn the control to its minimum, ask for 100 %, turn it up to the ceiling, and read the meter.";
        }
        return super.next();
    }
}
