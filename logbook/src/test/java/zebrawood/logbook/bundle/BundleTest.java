package zebrawood.logbook.bundle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.procedure.Change;
import zebrawood.json.table.CsvCell;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.Shop;
import zebrawood.logbook.store.StoredEntry;

/** A whole logbook goes out and comes back the same; a bundle that lies is refused as a whole. */
class BundleTest {

    private static final byte[] PHOTO = new byte[1_500_000];

    @TempDir
    Path folder;

    private Path file;
    private String head;

    @BeforeEach
    void exported() throws IOException {
        file = folder.resolve("bundle.zip");
        try (Logbook logbook = Shop.open(folder.resolve("shop"))) {
            Shop.begin(logbook, "plover", "Plover");
            Shop.begin(logbook, "heron", "=Heron()");
            logbook.append("plover", Shop.climate(45), Shop.day(1));
            logbook.append(
                    "heron",
                    new Body.Happened(Change.KNOCKED, "=HYPERLINK(\"x\")"),
                    Optional.empty(),
                    List.of(
                            new NewAttachment("photo.jpg", PHOTO),
                            new NewAttachment("note.txt", "told".getBytes(StandardCharsets.UTF_8))),
                    Shop.day(2));
            logbook.append(
                    "plover",
                    Shop.climate(52),
                    Optional.of(new Logbook.Correcting(2, "read too early")),
                    List.of(),
                    Shop.day(3));
            head = logbook.head().hash();
            Export.to(file, false, logbook, "test", Shop.BEGAN, done -> {});
        }
    }

    private String refused() {
        Path target = folder.resolve("refused");
        try {
            Import.from(file, target, Shop.PROCEDURES, done -> {});
            return "taken";
        } catch (LogbookException refused) {
            assertThat(target.resolve("logbook.db")).as("nothing was taken").doesNotExist();
            assertThat(target.resolve("importing")).doesNotExist();
            return refused.getMessage();
        } catch (IOException e) {
            return "io " + e;
        }
    }

    /** Writes the bundle anew with something changed. */
    private void changed(Consumer<Map<String, byte[]>> change) throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        try (ZipFile zip = new ZipFile(file.toFile())) {
            var entries = zip.entries();
            while (entries.hasMoreElements()) {
                ZipEntry entry = entries.nextElement();
                try (InputStream in = zip.getInputStream(entry)) {
                    parts.put(entry.getName(), in.readAllBytes());
                }
            }
        }
        change.accept(parts);
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file))) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue());
                zip.closeEntry();
            }
        }
    }

    private static byte[] replaced(byte[] text, String old, String by) {
        return new String(text, StandardCharsets.UTF_8).replace(old, by).getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void itComesBackTheSameChainBytesAndFiles() throws IOException {
        Path back = folder.resolve("back");
        assertThat(Import.from(file, back, Shop.PROCEDURES, done -> {}).holds()).isTrue();
        try (Logbook logbook = Shop.open(back);
                Logbook old = Shop.open(folder.resolve("shop"))) {
            assertThat(logbook.head()).isEqualTo(new Logbook.Head(5, head));
            assertThat(logbook.entry("plover", 3)).isEqualTo(old.entry("plover", 3));
            assertThat(logbook.attachment(
                            logbook.entry("heron", 2).attachments().get(0).sha256()))
                    .isEqualTo(PHOTO);
            assertThat(logbook.history("plover")).isEqualTo(old.history("plover"));
            logbook.append("plover", Shop.climate(40), Shop.day(9));
        }
        assertThatThrownBy(() -> Import.from(file, back, Shop.PROCEDURES, done -> {}))
                .isInstanceOf(LogbookException.class)
                .hasMessageContaining("empty shop only");
    }

    @Test
    void whatASpreadsheetWouldRunIsMadeHarmless() throws IOException {
        assertThat(CsvCell.harmless("=1+1")).isEqualTo("'=1+1");
        assertThat(CsvCell.harmless("@SUM(A1)")).startsWith("'");
        assertThat(CsvCell.harmless("\t=1")).startsWith("'");
        assertThat(CsvCell.harmless("-2.5")).as("a number is a number").isEqualTo("-2.5");
        assertThat(CsvCell.harmless("-cmd|x")).startsWith("'");
        try (ZipFile zip = new ZipFile(file.toFile());
                InputStream csv = zip.getInputStream(zip.getEntry("entries.csv"))) {
            String text = new String(csv.readAllBytes(), StandardCharsets.UTF_8);
            assertThat(text.lines()).hasSize(6);
            assertThat(text)
                    .contains("'=Heron()")
                    .contains("knocked: =HYPERLINK")
                    .doesNotContain(",=");
        }
    }

    @Test
    void aBundleThatLiesIsRefusedAsAWholeInASentence() throws IOException {
        byte[] good = Files.readAllBytes(file);
        Map<String, Consumer<Map<String, byte[]>>> lies = new LinkedHashMap<>();
        lies.put("does not belong in a bundle", parts -> parts.put("../../escaped.txt", new byte[3]));
        lies.put("\"/etc/passwd\" does not belong", parts -> parts.put("/etc/passwd", new byte[3]));
        lies.put("has no manifest.json", parts -> parts.remove("manifest.json"));
        lies.put(
                "manifest.json cannot be read",
                parts -> parts.put("manifest.json", "{}".getBytes(StandardCharsets.UTF_8)));
        lies.put(
                "of format 7",
                parts -> parts.put(
                        "manifest.json", replaced(parts.get("manifest.json"), "\"format\":1", "\"format\":7")));
        lies.put(
                "does not have the hash that stands beside it",
                parts -> parts.put("entries.jsonl", replaced(parts.get("entries.jsonl"), "21.4", "21.5")));
        lies.put(
                "entry 3 of machine plover does not follow the entry before it",
                parts -> parts.put("entries.jsonl", lines(parts.get("entries.jsonl"), 0, 1, 4)));
        lies.put(
                "holds 4 entries, but should hold 5",
                parts -> parts.put("entries.jsonl", lines(parts.get("entries.jsonl"), 0, 1, 2, 3)));
        lies.put("cannot be read: ", parts -> parts.put("entries.jsonl", new byte[parts.get("entries.jsonl").length]));
        lies.put("longer than it says", parts -> parts.put("entries.jsonl", new byte[50_000_000]));
        lies.put(
                "photo.jpg is not in it",
                parts -> parts.keySet()
                        .removeIf(name -> name.startsWith("attachments/") && parts.get(name).length > 1000));
        lies.put(
                "photo.jpg is longer than it says",
                parts -> parts.replaceAll((name, bytes) ->
                        name.startsWith("attachments/") && bytes.length > 1000 ? new byte[80_000_000] : bytes));
        lies.put(
                "photo.jpg changed or is not what its hash says",
                parts -> parts.replaceAll((name, bytes) -> name.startsWith("attachments/") && bytes.length > 1000
                        ? "elsewhere.jpg".getBytes(StandardCharsets.UTF_8)
                        : bytes));
        lies.put(
                "manifest.json is far too long",
                parts -> parts.put("manifest.json", " ".repeat(30_000).getBytes(StandardCharsets.UTF_8)));
        lies.put("has no entries.jsonl", parts -> parts.remove("entries.jsonl"));
        lies.put(
                "manifest.json does not name entries.jsonl",
                parts -> parts.put(
                        "manifest.json", replaced(parts.get("manifest.json"), "\"entries.jsonl\"", "\"entries.csv\"")));
        lies.put(
                "entries.jsonl does not have the hash that stands in manifest.json",
                parts -> parts.put("manifest.json", otherHash(parts.get("manifest.json"))));
        for (Map.Entry<String, Consumer<Map<String, byte[]>>> lie : lies.entrySet()) {
            Files.write(file, good);
            changed(lie.getValue());
            assertThat(refused())
                    .startsWith("the bundle was refused and nothing was taken: ")
                    .contains(lie.getKey());
        }
        assertThat(folder.resolve("escaped.txt")).doesNotExist();
        Files.writeString(file, "no zip at all");
        assertThat(refused()).contains("not a zip file");
        Files.write(file, java.util.Arrays.copyOf(good, good.length / 2));
        assertThat(refused()).contains("not a zip file, or it is damaged");
    }

    /** Another hash beside the name of the entries: its first digit differs. */
    private static byte[] otherHash(byte[] manifest) {
        String text = new String(manifest, StandardCharsets.UTF_8);
        int at = text.indexOf("\"sha256\":\"", text.indexOf("\"entries.jsonl\"")) + 10;
        return (text.substring(0, at) + (text.charAt(at) == '0' ? '1' : '0') + text.substring(at + 1))
                .getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] lines(byte[] text, int... kept) {
        List<String> all = new String(text, StandardCharsets.UTF_8).lines().toList();
        StringBuilder left = new StringBuilder();
        for (int each : kept) {
            left.append(all.get(each)).append('\n');
        }
        return left.toString().getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void itCanBeEndedOnTheWayAndLeavesNothingBehind() {
        Path other = folder.resolve("ended.zip");
        try (Logbook logbook = Shop.open(folder.resolve("shop"))) {
            assertThatThrownBy(() -> Export.to(other, false, logbook, "test", Shop.BEGAN, done -> {
                        throw new CancellationException();
                    }))
                    .isInstanceOf(CancellationException.class);
        }
        assertThat(folder.toFile().list()).containsExactlyInAnyOrder("shop", "bundle.zip");
    }

    /** The longest entry that is recorded goes out and in again; one byte more is not recorded. */
    @Test
    void whatIsRecordedIsNeverTooLongForAnImport() throws IOException {
        Path shop = folder.resolve("long");
        Path out = folder.resolve("long.zip");
        // a text of quotation marks is twice as long within the bundle's own text, and four times within that again
        int room = StoredEntry.LONGEST_BYTES - 1_000;
        try (Logbook logbook = Shop.open(shop)) {
            Shop.begin(logbook, "plover", "Plover");
            logbook.append("plover", new Body.Happened(Change.KNOCKED, "\"".repeat(room / 2)), Shop.day(1));
            assertThatThrownBy(() -> logbook.append(
                            "plover", new Body.Happened(Change.KNOCKED, "x".repeat(room + 1_000)), Shop.day(2)))
                    .isInstanceOf(LogbookException.class)
                    .hasMessageContaining("12 MB")
                    .hasMessageContaining("nothing was recorded");
            Export.to(out, false, logbook, "test", Shop.BEGAN, done -> {});
        }
        assertThat(Import.from(out, folder.resolve("long-back"), Shop.PROCEDURES, done -> {})
                        .entries())
                .isEqualTo(2);
    }

    @Test
    void whatStandsInItForPeopleIsCheckedToo() throws IOException {
        changed(parts -> parts.put("entries.csv", replaced(parts.get("entries.csv"), "PASS", "FAIL")));
        assertThat(refused()).contains("entries.csv does not have the hash");
    }

    @Test
    void aFolderNamedImportingStaysAndAnEmptyShopIsFilled() throws IOException {
        Path back = folder.resolve("back");
        Path mine = Files.createDirectories(back.resolve("importing"));
        Files.writeString(mine.resolve("mine.txt"), "mine");
        try (Logbook empty = Shop.open(back)) {
            assertThat(empty.head().entries()).isZero();
        }
        assertThat(Import.from(file, back, Shop.PROCEDURES, done -> {}).entries())
                .isEqualTo(5);
        assertThat(mine.resolve("mine.txt")).hasContent("mine");
        assertThat(back.toFile().list()).contains("logbook.db", "importing").hasSize(3);
    }
}
