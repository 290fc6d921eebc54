package zebrawood.benchmarks;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Entry;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.Verification;

/** A shop of one machine for runs that are killed or cut, and what must be true of it afterwards. */
final class SmallShop {

    static final String MACHINE = "Unit 000";
    static final String ID = "machine-0000";

    private final Path template;

    SmallShop() throws IOException {
        template = Files.createTempDirectory("zebrawood-template");
        new LargeShop(11, 1).fill(template, 40);
    }

    /** A fresh copy. */
    Path copy() {
        try {
            Path folder = Files.createTempDirectory("zebrawood-run");
            Files.copy(
                    template.resolve("logbook.db"), folder.resolve("logbook.db"), StandardCopyOption.REPLACE_EXISTING);
            return folder;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    byte[] database() throws IOException {
        return Files.readAllBytes(template.resolve("logbook.db"));
    }

    void delete() {
        Words.delete(template);
    }

    /** A worksheet that is not like the one before it. */
    static String worksheet(int n) {
        return "{\"procedure\":\"site-climate\",\"readings\":{\"airTemperatureC\":" + (18 + n % 70 / 10.0)
                + ",\"relativeHumidityPct\":" + (35 + n % 28)
                + ",\"limits\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"minHumidityPct\":22,\"maxHumidityPct\":66}}}\n";
    }

    /** Number and hash of the entry that an answer confirms; empty for an answer without, or half an answer. */
    static Optional<Map.Entry<Integer, String>> confirmed(String answer) {
        int at = answer.indexOf("\"entry\":{\"number\":");
        if (at < 0 || !answer.endsWith("}}")) {
            return Optional.empty();
        }
        String rest = answer.substring(at + 18);
        int number = Integer.parseInt(rest.substring(0, rest.indexOf(',')));
        return Optional.of(
                Map.entry(number, rest.substring(rest.indexOf("\"hash\":\"") + 8, rest.indexOf("\"hash\":\"") + 72)));
    }

    /**
     * What is wrong with a folder after a run: confirmed entries that are not there, chains that do not hold; empty
     * where nothing is.
     */
    static List<String> wrong(Path folder, Map<Integer, String> confirmed) {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            Verification found = logbook.verify(List.of());
            Map<Integer, String> lost = new HashMap<>(confirmed);
            confirmed.forEach((number, hash) -> logbook.findEntry(ID, number)
                    .map(Entry::place)
                    .filter(place -> hash.isEmpty() || place.hash().equals(hash))
                    .ifPresent(there -> lost.remove(number)));
            if (!lost.isEmpty()) {
                return List.of("confirmed but not there: " + lost.keySet());
            }
            return found.flaws().stream().map(Object::toString).limit(3).toList();
        } catch (RuntimeException e) {
            return List.of("cannot be opened: " + e.getMessage());
        }
    }
}
