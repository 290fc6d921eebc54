package zebrawood.desktop.command;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Change;
import zebrawood.desktop.desk.Preferences;
import zebrawood.kit.view.Paper;
import zebrawood.logbook.store.Backups;
import zebrawood.logbook.store.Logbook;
import zebrawood.testsupport.OtherProgram;

class CommandsTest {

    @TempDir
    Path folder;

    private final ByteArrayOutputStream said = new ByteArrayOutputStream();
    private final PrintStream out = System.out;
    private final PrintStream err = System.err;

    @BeforeEach
    void listen() {
        PrintStream listening = new PrintStream(said, true, StandardCharsets.UTF_8);
        System.setOut(listening);
        System.setErr(listening);
    }

    @AfterEach
    void stopListening() {
        System.setOut(out);
        System.setErr(err);
    }

    private int run(String... words) {
        said.reset();
        return Zebrawood.run(words);
    }

    /** A program of its own: it writes where a shell reads, and closes that. */
    private int apart(String... words) throws Exception {
        said.reset();
        Process process = OtherProgram.command(Zebrawood.class, words);
        process.getInputStream().transferTo(said);
        return process.waitFor();
    }

    private String said() {
        return said.toString(StandardCharsets.UTF_8);
    }

    @Test
    void theVersionIsTheBuildsOwn() throws IOException {
        assertThat(Files.readString(Path.of("pom.xml"))).contains("<version>" + Version.TEXT + "</version>");
    }

    @Test
    void demoVerifyAndCertificateWorkOnOneFolder() {
        String shop = folder.resolve("shop").toString();
        assertThat(run("demo", "--data", shop, "--today", "2031-03-14", "--make-only"))
                .isZero();
        assertThat(run("verify", "--data", shop)).isZero();
        String head = said().replaceAll("(?s).*ends on ([0-9a-f]{64}).*", "$1");
        assertThat(run("verify", "--data", shop, "--expect", head)).isZero();
        assertThat(run("verify", "--data", shop, "--expect", head.replace(head.charAt(0), 'x')))
                .isEqualTo(1);

        Path pdf = folder.resolve("wren.pdf");
        assertThat(run("certificate", "--data", shop, "--machine", "WREN", "--out", pdf.toString()))
                .isZero();
        assertThat(pdf).exists();
        assertThat(run("certificate", "--data", shop, "--machine", "Sparrow", "--out", pdf.toString()))
                .isEqualTo(1);
        assertThat(said()).contains("no machine named Sparrow", "Wren, Dunlin, Kestrel");
    }

    @Test
    void aShopGoesOutAsABundleAndComesBackTheSame() throws IOException {
        String shop = folder.resolve("shop").toString();
        String other = folder.resolve("other").toString();
        String bundle = folder.resolve("shop.zip").toString();
        assertThat(run("demo", "--data", shop, "--today", "2031-03-14", "--make-only"))
                .isZero();
        assertThat(run("export", "--data", shop, bundle)).isZero();
        String head = said().replaceAll("(?s).*ends on ([0-9a-f]{64}).*", "$1");
        assertThat(run("import", "--data", other, bundle)).isZero();
        assertThat(said()).contains("ends on " + head);
        assertThat(run("verify", "--data", other, "--expect", head)).isZero();
        assertThat(run("import", "--data", other, bundle))
                .as("never over a shop that is there")
                .isEqualTo(2);
        assertThat(run("export", "--data", shop, bundle))
                .as("never over a bundle that is there")
                .isEqualTo(1);
        assertThat(said()).contains("is there already", "--force");
        assertThat(run("export", "--data", shop, "--force", bundle)).isZero();
        assertThat(run("export", "--data", folder.resolve("nowhere").toString(), bundle))
                .isEqualTo(2);
        byte[] cut = Files.readAllBytes(Path.of(bundle));
        Files.write(Path.of(bundle), Arrays.copyOf(cut, cut.length / 2));
        assertThat(run("import", "--data", folder.resolve("third").toString(), bundle))
                .isEqualTo(2);
        assertThat(said()).doesNotContain("\tat ");
        assertThat(run("verify", "--data", folder.resolve("third").toString()))
                .as("nothing half is left")
                .isEqualTo(2);
    }

    @Test
    void aLoggersWorksheetsAreRecordedFromAFile() throws Exception {
        String shop = folder.resolve("shop").toString();
        assertThat(run("demo", "--data", shop, "--today", "2031-03-14", "--make-only"))
                .isZero();
        Path sheets = Files.writeString(folder.resolve("night.jsonl"), """
                {"procedure":"site-climate","readings":{"airTemperatureC":20.4,"relativeHumidityPct":44,"limits":{"minTemperatureC":14,"maxTemperatureC":29,"maxHumidityPct":66}}}
                {"procedure":"site-climate","readings":{"airTemperatureC":20.1,"relativeHumidityPct":45,"limits":{"minTemperatureC":14,"maxTemperatureC":29,"maxHumidityPct":66}}}
                """);
        assertThat(apart("record", sheets.toString(), "--machine", "kestrel", "--by", "log 1", "--data", shop))
                .isZero();
        try (Logbook logbook = Logbook.open(Path.of(shop), Catalogue.procedures())) {
            List<Entry> night = logbook.readings(
                    logbook.findMachine("Kestrel").orElseThrow().id(), "site-climate", 2);
            assertThat(night).extracting(entry -> entry.stamp().by()).containsOnly("LOG 1");
            assertThat(night.get(0).number()).isEqualTo(night.get(1).number() + 1);
        }
        assertThat(apart("record", sheets.toString(), "--machine", "Sparrow", "--by", "log", "--data", shop))
                .isEqualTo(1);
        assertThat(said()).contains("no machine named Sparrow");
        assertThat(apart(
                        "record",
                        sheets.toString(),
                        "--machine",
                        "Kestrel",
                        "--by",
                        "the logger in the hall",
                        "--data",
                        shop))
                .isEqualTo(2);
        assertThat(said()).contains("up to 16 characters");
        assertThat(apart("record", sheets.toString(), "--machine", "Kestrel", "--by", " ", "--data", shop))
                .isEqualTo(2);
        assertThat(apart(
                        "record",
                        sheets.toString(),
                        "--machine",
                        "Kestrel",
                        "--by",
                        "log",
                        "--data",
                        folder.resolve("nowhere").toString()))
                .isEqualTo(2);
        assertThat(apart(
                        "record",
                        folder.resolve("none.jsonl").toString(),
                        "--machine",
                        "Kestrel",
                        "--by",
                        "log",
                        "--data",
                        shop))
                .isEqualTo(2);
        assertThat(said()).contains("There is no file");
    }

    @Test
    void aCutLogbookIsRestoredFromItsBackupOnceThatIsSaid() throws IOException {
        String shop = folder.resolve("shop").toString();
        assertThat(run("demo", "--data", shop, "--today", "2031-03-14", "--make-only"))
                .isZero();
        assertThat(run("restore", "--data", shop)).isZero();
        assertThat(said()).contains("The logbook is whole", "nothing to restore");
        new Backups(Path.of(shop)).make(Instant.parse("2031-03-14T09:00:00Z"));
        Path file = Path.of(shop, "logbook.db");
        byte[] whole = Files.readAllBytes(file);
        Files.write(file, Arrays.copyOf(whole, whole.length / 2));
        assertThat(run("verify", "--data", shop)).isEqualTo(1);
        assertThat(said()).contains("damaged", "./zebrawood restore");
        assertThat(run("restore", "--data", shop)).isZero();
        assertThat(said()).contains("Nothing was changed");
        assertThat(Files.size(file)).isEqualTo(whole.length / 2);
        assertThat(run("restore", "--data", shop, "--yes")).isZero();
        assertThat(run("verify", "--data", shop)).isZero();
    }

    @Test
    void certificatesComeOnThePaperThatIsAskedFor() throws IOException {
        String shop = folder.resolve("shop").toString();
        assertThat(run("demo", "--data", shop, "--today", "2031-03-14", "--make-only"))
                .isZero();
        Path pdf = folder.resolve("wren.pdf");
        assertThat(run(
                        "certificate",
                        "--data",
                        shop,
                        "--machine",
                        "Wren",
                        "--paper",
                        "letter",
                        "--out",
                        pdf.toString()))
                .isZero();
        assertThat(size(pdf)).isEqualTo("612 x 792");
        Preferences kept = Preferences.in(Path.of(shop));
        kept.paper(Paper.LETTER);
        kept.save();
        assertThat(run("certificate", "--data", shop, "--machine", "Wren", "--force", "--out", pdf.toString()))
                .isZero();
        assertThat(size(pdf)).as("as it was chosen in the window").isEqualTo("612 x 792");
        assertThat(run(
                        "certificate",
                        "--data",
                        shop,
                        "--machine",
                        "Wren",
                        "--paper",
                        "a4",
                        "--force",
                        "--out",
                        pdf.toString()))
                .isZero();
        assertThat(size(pdf)).isEqualTo("595 x 842");
    }

    private static String size(Path pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            PDRectangle page = document.getPage(0).getMediaBox();
            return Math.round(page.getWidth()) + " x " + Math.round(page.getHeight());
        }
    }

    @Test
    void whatCannotBeDoneIsToldInOneSentenceWithoutATrace() throws IOException {
        assertThat(run("verify", "--data", folder.resolve("nowhere").toString()))
                .isEqualTo(2);
        assertThat(said()).contains("There is no logbook in");
        assertThat(run("solve", folder.resolve("none.jsonl").toString())).isEqualTo(2);
        assertThat(said()).contains("There is no file");
        Files.writeString(folder.resolve("letter.txt"), "dear");
        assertThat(run("demo", "--data", folder.toString(), "--make-only")).isEqualTo(1);
        assertThat(said()).contains("neither empty nor a demo's own").doesNotContain("\tat ");
        assertThat(run("sing")).isEqualTo(2);
        assertThat(run("demo", "--today", "someday")).isEqualTo(2);
    }

    @Test
    void theUsersDataStandWhereThePlatformExpects() {
        Path home = Path.of("/home/rv");
        assertThat(DataFolder.usual("Linux", Map.of(), home)).isEqualTo(home.resolve(".local/share/zebrawood"));
        assertThat(DataFolder.usual("Linux", Map.of("XDG_DATA_HOME", "/data"), home))
                .isEqualTo(Path.of("/data/zebrawood"));
        assertThat(DataFolder.usual("Linux", Map.of("XDG_DATA_HOME", "relative"), home))
                .isEqualTo(home.resolve(".local/share/zebrawood"));
        assertThat(DataFolder.usual("Mac OS X", Map.of(), home))
                .isEqualTo(home.resolve("Library/Application Support/Zebrawood"));
        assertThat(DataFolder.usual("Windows 11", Map.of("APPDATA", "/roaming"), home))
                .isEqualTo(Path.of("/roaming/Zebrawood"));
    }

    /** A demo writes only into a folder that it made, whatever leads there. */
    @Test
    void aDemoNeverTouchesAShop() throws IOException {
        Path shop = folder.resolve("shop");
        assertThat(run("demo", "--data", shop.toString(), "--today", "2031-03-14", "--make-only"))
                .isZero();
        assertThat(run("demo", "--data", shop.toString(), "--today", "2031-03-15", "--make-only"))
                .as("its own is made anew")
                .isZero();
        Path real = folder.resolve("real");
        Path bundle = folder.resolve("shop.zip");
        assertThat(run("export", "--data", shop.toString(), bundle.toString())).isZero();
        assertThat(run("import", "--data", real.toString(), bundle.toString())).isZero();
        Path link = Files.createSymbolicLink(folder.resolve("link"), real);
        long length = Files.size(real.resolve("logbook.db"));
        for (Path each : new Path[] {real, link}) {
            assertThat(run("demo", "--data", each.toString(), "--make-only")).isEqualTo(1);
            assertThat(said()).contains("neither empty nor a demo's own");
        }
        Files.copy(shop.resolve("fernhollow-demo.txt"), real.resolve("fernhollow-demo.txt"));
        assertThat(run("demo", "--data", real.toString(), "--make-only"))
                .as("a mark of another folder is none")
                .isEqualTo(1);
        assertThat(Files.size(real.resolve("logbook.db"))).isEqualTo(length);

        try (Logbook logbook = Logbook.open(shop, Catalogue.procedures())) {
            logbook.append(
                    logbook.findMachine("Wren").orElseThrow().id(),
                    new Body.Happened(Change.KNOCKED, "mine"),
                    new Entry.Stamp(Instant.parse("2031-03-16T09:00:00Z"), ZoneOffset.UTC, "LO", "test"));
        }
        assertThat(run("demo", "--data", shop.toString(), "--make-only")).isEqualTo(1);
        assertThat(said()).contains("Somebody recorded in the demo shop");
    }

    @Test
    void whatCannotBeWrittenIsNoSuccess() throws Exception {
        String shop = folder.resolve("shop").toString();
        assertThat(run("demo", "--data", shop, "--today", "2031-03-14", "--make-only"))
                .isZero();
        Process full = OtherProgram.command(Path.of("/dev/full"), Zebrawood.class, "verify", "--data", shop);
        String told = new String(full.getErrorStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(full.waitFor()).isEqualTo(1);
        assertThat(told).contains("could not be written").doesNotContain("\tat ");
        assertThat(run("verify", "--data", shop, "--today", "yesterday")).isEqualTo(2);
    }

    @Test
    void aCertificateSaysWhenTheLogbookIsNotAsItWasWritten() throws IOException, SQLException {
        String shop = folder.resolve("shop").toString();
        assertThat(run("demo", "--data", shop, "--today", "2031-03-14", "--make-only"))
                .isZero();
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + shop + "/logbook.db");
                Statement statement = connection.createStatement()) {
            statement.execute("drop trigger entry_never_changed");
            statement.execute("update entry set verdict = cast(verdict as blob) where verdict = 'FAIL'");
        }
        Path pdf = folder.resolve("wren.pdf");
        assertThat(run("certificate", "--data", shop, "--machine", "Wren", "--out", pdf.toString()))
                .isZero();
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(new PDFTextStripper().getText(document).replaceAll("\\s+", " "))
                    .contains("Not certified: the logbook is not as it was written")
                    .contains("What is shown below may not be what was recorded");
        }
        assertThat(run("verify", "--data", shop)).isEqualTo(1);
        assertThat(said()).contains("as they were written, but");
        assertThat(run("restore", "--data", shop, "--yes", "--today", "2031-03-14"))
                .isZero();
        assertThat(run("verify", "--data", shop)).isZero();
    }

    @Test
    void aFolderNamedBeforeTheWordHoldsForIt() {
        String shop = folder.resolve("shop").toString();
        assertThat(run("--data", shop, "--today=2031-03-14", "demo", "--make-only"))
                .isZero();
        assertThat(said()).contains(shop);
        assertThat(run("--data=" + shop, "verify")).isZero();
        assertThat(said()).startsWith("Whole: 1456 entries");
        assertThat(run("--data", folder.resolve("nowhere").toString(), "verify"))
                .isEqualTo(2);
    }
}
