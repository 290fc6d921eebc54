package zebrawood.desktop.desk;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.function.Consumer;
import java.util.function.Supplier;
import zebrawood.kit.view.Words;
import zebrawood.logbook.store.LogbookException;

/**
 * Tells what went wrong: in the logbook's own words where it refused, else in one plain sentence, with a report beside
 * the logbook.
 */
final class FaultReport {

    private final Path folder;
    private final Supplier<Instant> clock;
    private final String program;
    private Consumer<String> teller = sentence -> {};

    FaultReport(Path folder, Supplier<Instant> clock, String program) {
        this.folder = folder;
        this.clock = clock;
        this.program = program;
    }

    /** Where sentences for the person go. */
    void to(Consumer<String> teller) {
        this.teller = teller;
    }

    void say(String sentence) {
        teller.accept(sentence);
    }

    void say(LogbookException refused) {
        say(Words.sentence(refused.getMessage()));
    }

    /** Says what was thrown and nobody caught. */
    void uncaught(Throwable failure) {
        if (failure instanceof LogbookException refused) {
            say(refused);
        } else {
            told(failure);
        }
    }

    /** What nobody foresaw: a report file and one plain sentence, told and given back without its full stop. */
    String told(Throwable failure) {
        StringWriter trace = new StringWriter();
        failure.printStackTrace(new PrintWriter(trace));
        Path report = folder.resolve("report.txt");
        String sentence;
        try {
            Files.writeString(report, clock.get() + " " + program + "\n" + trace);
            sentence =
                    "Something went wrong that should not have. What you typed is kept; a report stands in " + report;
        } catch (IOException unwritable) {
            sentence =
                    "Something went wrong that should not have, and no report could be written. What you typed is kept";
        }
        say(sentence + ".");
        return sentence;
    }
}
