package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.Unread;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Evidence;
import zebrawood.core.procedure.Help;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.Route;
import zebrawood.core.route.StopState;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.units.Said;
import zebrawood.core.units.UnitChoice;
import zebrawood.logbook.bundle.Export;
import zebrawood.logbook.bundle.Import;

/**
 * What a newer program recorded, opened by this one: shown, counted, exported and imported as it is, never judged,
 * never replaced.
 */
class NewerEntriesTest {

    /** How far a camera is off, which only the newer program measures. */
    public record OffReadings(double offMm) {}

    public record OffFinding(double offMm, double marginMm) {}

    private static final class CameraOffset implements Procedure<OffReadings, OffFinding> {
        @Override
        public Card card() {
            return new Card(
                    "camera-offset",
                    3,
                    "Camera offset",
                    Card.OnRoute.in(Phase.CAMERA, 10),
                    Set.of(),
                    List.of(),
                    1,
                    30,
                    new Help(List.of(), List.of(), "", List.of()));
        }

        @Override
        public Class<OffReadings> readingsType() {
            return OffReadings.class;
        }

        @Override
        public Class<OffFinding> findingType() {
            return OffFinding.class;
        }

        @Override
        public boolean appliesTo(Plate plate) {
            return true;
        }

        @Override
        public Outcome<OffFinding> evaluate(OffReadings read) {
            return new Outcome<>(
                    new OffFinding(read.offMm(), 2 * read.offMm()),
                    read.offMm() < 0.5 ? Verdict.PASS : Verdict.ADJUST,
                    List.of(Instruction.of("camera", Said.of("Leave a margin of twice that."))));
        }

        @Override
        public Said keyFigure(OffFinding finding) {
            return Said.of("off by " + finding.offMm());
        }

        @Override
        public List<Evidence> evidence(OffFinding finding) {
            return List.of(new Evidence("offset", keyFigure(finding)));
        }

        @Override
        public Said judgedBy(OffFinding finding) {
            return Said.of("0.5");
        }
    }

    private static final List<Procedure<?, ?>> NEWER = new ArrayList<>(Shop.PROCEDURES);

    static {
        NEWER.add(new CameraOffset());
    }

    @TempDir
    private Path beside;

    @TempDir
    private Path folder;

    private static Entry.Stamp newer(double day) {
        return new Entry.Stamp(Shop.day(day).at(), ZoneOffset.ofHours(1), "LO", "9.1.0");
    }

    private void byTheNewerProgram() {
        OffReadings read = new OffReadings(0.2);
        CameraOffset procedure = new CameraOffset();
        try (Logbook logbook = Logbook.open(folder, NEWER)) {
            Shop.begin(logbook, "plover", "Plover");
            logbook.append("plover", Shop.climate(45), Shop.day(1));
            logbook.append(
                    "plover",
                    Body.Measured.of(
                            procedure,
                            read,
                            java.util.Map.of("offMm", "0.2"),
                            procedure.evaluate(read),
                            UnitChoice.METRIC),
                    newer(2));
            logbook.append("plover", Shop.climate(46), Shop.day(3));
        }
    }

    private static MachineStatus status(Logbook logbook, List<Procedure<?, ?>> procedures) {
        return new Route(procedures)
                .status(logbook.history("plover"), Shop.day(10).at(), ZoneOffset.UTC);
    }

    @Test
    void aReadingOfAStopThatIsNotKnownHereIsKeptAsItStands() {
        byTheNewerProgram();
        try (Logbook logbook = Shop.open(folder)) {
            assertThat(logbook.whyReadOnly()).isEmpty();
            List<TapeLine> tape = logbook.tape(TapeFilter.ALL, Long.MAX_VALUE, 10);
            assertThat(tape).extracting(line -> line.entry().number()).containsExactly(4, 3, 2, 1);
            Body.Measured measured = (Body.Measured) tape.get(1).entry().body();
            assertThat(measured.isRead()).isFalse();
            assertThat(measured.readings()).isEqualTo(new Unread("{\"offMm\":0.2}"));
            assertThat(measured.verdict()).isEqualTo(Verdict.PASS);
            assertThat(measured.shown().sentences()).containsExactly("Leave a margin of twice that.");
            assertThat(measured.shown().keyFigure()).isEqualTo("off by 0.2");
            MachineStatus status = status(logbook, Shop.PROCEDURES);
            assertThat(status.unjudged()).containsExactly("camera-offset");
            assertThat(status.stop("site-climate").state()).isEqualTo(StopState.PASSED);
            assertThat(logbook.verify(List.of()).holds()).isTrue();
            assertThat(logbook.tape(
                            new TapeFilter(
                                    Optional.empty(), Optional.empty(), Optional.empty(), Optional.of("margin twice")),
                            Long.MAX_VALUE,
                            10))
                    .hasSize(1);
            logbook.append("plover", Shop.climate(47), Shop.day(5));
        }
    }

    @Test
    void anOlderProgramExportsAndImportsItByteForByteAndTheNewerOneJudgesItAgain() throws Exception {
        byTheNewerProgram();
        Path bundle = beside.resolve("bundle.zip");
        Path back = beside.resolve("back");
        Logbook.Head head;
        try (Logbook logbook = Shop.open(folder)) {
            Export.to(bundle, false, logbook, "test", Instant.EPOCH, done -> {});
            head = logbook.head();
        }
        Import.from(bundle, back, Shop.PROCEDURES, done -> {});
        try (Logbook logbook = Logbook.open(back, NEWER)) {
            assertThat(logbook.head()).isEqualTo(head);
            assertThat(logbook.verify(List.of()).holds()).isTrue();
            assertThat(((Body.Measured) logbook.entry("plover", 3).body()).finding())
                    .isEqualTo(new OffFinding(0.2, 0.4));
            assertThat(status(logbook, NEWER).stop("camera-offset").state()).isEqualTo(StopState.PASSED);
            assertThat(status(logbook, NEWER).unjudged()).isEmpty();
        }
    }

    /** Puts in the next entry as a newer program would have written it. */
    private static void as(Logbook logbook, Body body, double day, UnaryOperator<String> newer) {
        Entry last = logbook.entry("plover", (int) logbook.count(Optional.of("plover")));
        byte[] bytes = new EntryBytes(Shop.PROCEDURES)
                .write(
                        new EntryBytes.Head(
                                "plover",
                                last.number() + 1,
                                last.place().hash(),
                                newer(day),
                                Optional.empty(),
                                List.of()),
                        body);
        byte[] changed = newer.apply(new String(bytes, StandardCharsets.UTF_8)).getBytes(StandardCharsets.UTF_8);
        assertThat(changed).isNotEqualTo(bytes);
        logbook.takeBack(new StoredEntry(logbook.head().entries() + 1, Hashes.of(changed), changed), file -> {
            throw new AssertionError("no files");
        });
    }

    @Test
    void partsThatAreNotKnownHereAreToldAndSuchAnEntryIsNeitherCorrectedNorPutOver() {
        try (Logbook logbook = Shop.open(folder)) {
            Shop.begin(logbook, "plover", "Plover");
            as(
                    logbook,
                    Shop.climate(46),
                    1,
                    json -> json.replace("\"readings\":{", "\"readings\":{\"pressureHPa\":1003,"));
            Entry climate = logbook.entry("plover", 2);
            assertThat(climate.unknown()).containsExactly("pressureHPa");
            assertThat(((Body.Measured) climate.body()).isRead())
                    .as("what is known of it is read")
                    .isTrue();
            assertThat(status(logbook, Shop.PROCEDURES).stop("site-climate").keyFigure())
                    .isPresent();
            assertThatThrownBy(() -> logbook.append(
                            "plover",
                            Shop.climate(45),
                            Optional.of(new Logbook.Correcting(2, "misread")),
                            List.of(),
                            Shop.day(2)))
                    .isInstanceOf(LogbookException.class)
                    .hasMessageContaining("newer Zebrawood 9.1.0");
            as(
                    logbook,
                    new Body.PlateSet(Shop.plate("Plover"), java.util.Map.of()),
                    3,
                    json -> json.replace("\"plate\":{", "\"plate\":{\"colour\":\"sand\","));
            assertThatThrownBy(() -> Shop.begin(logbook, "plover", "Plover the second"))
                    .isInstanceOf(LogbookException.class)
                    .hasMessageContaining("newer Zebrawood 9.1.0");
            assertThat(logbook.count(Optional.of("plover")))
                    .as("nothing was written over it")
                    .isEqualTo(3);
            assertThat(logbook.verify(List.of()).holds()).isTrue();
        }
    }

    @Test
    void anEventOfAKindThatIsNotKnownHereIsNeverTakenForHarmless() {
        try (Logbook logbook = Shop.open(folder)) {
            Shop.begin(logbook, "plover", "Plover");
            double day = 1;
            for (var bar : FirstLight.bars(Shop.plate("Plover"))) {
                logbook.append(
                        "plover",
                        new Body.GateLine(bar.id(), bar.title(), true, bar.fires(), "seen"),
                        Shop.day(day += 0.01));
            }
            assertThat(status(logbook, Shop.PROCEDURES).gate().isOpen()).isTrue();
            as(
                    logbook,
                    new Body.PointOpened("mirror cracked", "", Optional.empty()),
                    2,
                    json -> json.replace("\"kind\":\"point\"", "\"kind\":\"damage\"")
                            .replace("\"stop\":\"point\"", "\"stop\":\"damage\""));
            MachineStatus status = status(logbook, Shop.PROCEDURES);
            assertThat(status.gate().isOpen()).isFalse();
            assertThat(status.gate().shutBy()).contains("an entry of a newer program");
            Entry damage =
                    logbook.tape(TapeFilter.ALL, Long.MAX_VALUE, 1).get(0).entry();
            assertThat(damage.body())
                    .isInstanceOfSatisfying(
                            Body.Foreign.class,
                            foreign -> assertThat(foreign.json()).contains("mirror cracked"));
            assertThat(logbook.verify(List.of()).holds()).isTrue();
        }
    }

    @Test
    void aMachineOfAFamilyThatIsNotKnownHereHidesNoOther() {
        try (Logbook logbook = Shop.open(folder)) {
            Shop.begin(logbook, "plover", "Plover");
            Body.PlateSet strange = new Body.PlateSet(Shop.plate("Avocet"), java.util.Map.of());
            byte[] bytes = new String(
                            new EntryBytes(Shop.PROCEDURES)
                                    .write(
                                            new EntryBytes.Head(
                                                    "avocet", 1, Hashes.NONE, newer(1), Optional.empty(), List.of()),
                                            strange),
                            StandardCharsets.UTF_8)
                    .replace("galvo-uv", "waterjet")
                    .getBytes(StandardCharsets.UTF_8);
            logbook.takeBack(new StoredEntry(2, Hashes.of(bytes), bytes), file -> null);
            assertThat(logbook.machines()).extracting(Logbook.MachineName::name).containsExactly("Plover", "Avocet");
            assertThat(logbook.histories())
                    .extracting(history -> history.machineId())
                    .containsExactly("plover");
            assertThatThrownBy(() -> logbook.history("avocet"))
                    .isInstanceOf(LogbookException.class)
                    .hasMessageContaining("newer Zebrawood");
            assertThat(logbook.verify(List.of()).holds()).isTrue();
        }
    }
}
