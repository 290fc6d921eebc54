package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Change;
import zebrawood.core.site.SiteClimate;

/** What may be appended, what may not, and that nothing of what may not stays behind. */
class AppendTest {

    private static final Entry.Stamp STAMP =
            new Entry.Stamp(Instant.parse("2031-03-14T09:30:00Z"), ZoneOffset.ofHours(1), "RV", "test");

    @TempDir
    Path folder;

    private Logbook logbook;

    @BeforeEach
    void open() {
        logbook = Logbook.open(folder, List.of(new SiteClimate()));
        logbook.append("wren", plate("Wren"), STAMP);
    }

    @AfterEach
    void close() {
        logbook.close();
    }

    private static Body.PlateSet plate(String name) {
        return new Body.PlateSet(
                new Plate(
                        name,
                        Family.SHEET_FIBRE,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()),
                Map.of());
    }

    @Test
    void aMachineBeginsWithItsPlate() {
        assertThatThrownBy(() -> logbook.append("heron", new Body.Happened(Change.MOVED, ""), STAMP))
                .isInstanceOf(LogbookException.class);
        assertThat(logbook.count(Optional.empty())).isEqualTo(1);
    }

    @Test
    void aRenamedMachineKeepsItsIdAndFreesItsOldName() {
        logbook.append("wren", plate("Jenny"), STAMP);
        logbook.append("other", plate("Wren"), STAMP);

        assertThat(logbook.findMachine("jenny")).map(Logbook.MachineName::id).contains("wren");
        assertThat(logbook.findMachine(" WREN ")).map(Logbook.MachineName::id).contains("other");
        assertThat(logbook.machines()).extracting(Logbook.MachineName::name).containsExactly("Jenny", "Wren");
        assertThat(logbook.verify(List.of()).flaws()).isEmpty();
    }

    @Test
    void namesThatDifferInCaseOnlyAreOneNameInAnyScript() {
        logbook.append("a", plate("Straße"), STAMP);
        assertThatThrownBy(() -> logbook.append("b", plate("STRASSE"), STAMP)).hasMessageContaining("already");
        logbook.append("c", plate("Зяблик"), STAMP);
        assertThatThrownBy(() -> logbook.append("d", plate("ЗЯБЛИК"), STAMP)).hasMessageContaining("already");
    }

    @Test
    void aCorrectionStaysAtItsStopAndNamesAnEntryThatIsThere() {
        logbook.append("wren", new Body.Happened(Change.MOVED, ""), STAMP);
        Body line = new Body.GateLine("films", "Films off", false, false, "");
        assertThatThrownBy(() ->
                        logbook.append("wren", line, Optional.of(new Logbook.Correcting(2, "why")), List.of(), STAMP))
                .hasMessageContaining("another stop");
        assertThatThrownBy(() ->
                        logbook.append("wren", line, Optional.of(new Logbook.Correcting(9, "why")), List.of(), STAMP))
                .hasMessageContaining("no entry 9");
        assertThat(logbook.count(Optional.empty())).isEqualTo(2);
    }

    @Test
    void aCorrectionOfACorrectionStandsWhereTheFirstStood() {
        Body line = new Body.GateLine("films", "Films off", true, false, "");
        logbook.append("wren", line, STAMP);
        logbook.append("wren", line, Optional.of(new Logbook.Correcting(2, "once")), List.of(), STAMP);
        Entry third = logbook.append("wren", line, Optional.of(new Logbook.Correcting(3, "twice")), List.of(), STAMP);

        assertThat(third.standsAt()).isEqualTo(2);
        assertThat(third.corrects()).map(Entry.Correction::number).contains(3);
    }

    @Test
    void attachmentsComeBackByteForByteAndTheSameFileIsKeptOnce() {
        byte[] large = new byte[3_000_001];
        new SplittableRandom(4).nextBytes(large);
        List<NewAttachment> files =
                List.of(new NewAttachment("large.bin", large), new NewAttachment("empty.txt", new byte[0]));
        Entry one = logbook.append("wren", new Body.Happened(Change.MOVED, ""), Optional.empty(), files, STAMP);
        Entry two = logbook.append("wren", new Body.Happened(Change.MOVED, ""), Optional.empty(), files, STAMP);

        assertThat(logbook.attachment(one.attachments().get(0).sha256())).isEqualTo(large);
        assertThat(logbook.attachment(one.attachments().get(1).sha256())).isEmpty();
        assertThat(two.attachments()).isEqualTo(one.attachments());
        Verification whole = logbook.verify(List.of());
        assertThat(whole.flaws()).isEmpty();
        assertThat(whole.attachments()).isEqualTo(2);
    }

    @Test
    void manyTogetherAreAllThereOrNone() {
        long before = logbook.count(Optional.empty());
        assertThatThrownBy(() -> logbook.together(() -> {
                    logbook.append("wren", new Body.Happened(Change.MOVED, "one"), STAMP);
                    logbook.append("nobody", new Body.Happened(Change.MOVED, "two"), STAMP);
                }))
                .isInstanceOf(LogbookException.class);
        assertThat(logbook.count(Optional.empty())).isEqualTo(before);

        logbook.together(() -> {
            for (int i = 0; i < 500; i++) {
                logbook.append("wren", new Body.Happened(Change.LENS_CHANGED, "no. " + i), STAMP);
            }
        });
        assertThat(logbook.count(Optional.of("wren"))).isEqualTo(before + 500);
        assertThat(logbook.verify(List.of()).flaws()).isEmpty();
    }

    @Test
    void aRemarkInAnyScriptComesBackAsItWas() {
        for (String remark : List.of("täglich, ≥ 3 µm", "в чистую комнату", "鷦鷯 🐦", "\"quoted\"\\ \t\n", "")) {
            Entry entry = logbook.append("wren", new Body.Happened(Change.MOVED, remark), STAMP);
            logbook.close();
            logbook = Logbook.open(folder, List.of(new SiteClimate()));
            assertThat(((Body.Happened) logbook.entry("wren", entry.number()).body()).remark())
                    .isEqualTo(remark);
        }
    }
}
