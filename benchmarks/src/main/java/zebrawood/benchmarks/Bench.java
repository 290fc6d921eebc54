package zebrawood.benchmarks;

import java.util.logging.Level;
import java.util.logging.Logger;

/** {@code ./zebrawood bench WORD}: runs one benchmark and prints its figures. */
public final class Bench {

    /** held, so that its level is */
    private static final Logger MIGRATIONS = Logger.getLogger("org.flywaydb");

    private Bench() {}

    public static void main(String[] words) throws Exception {
        MIGRATIONS.setLevel(Level.WARNING);
        String word = words.length == 0 ? "" : words[0];
        boolean kept;
        switch (word) {
            case "alignment" -> kept = Alignment.run(words);
            case "focus" -> kept = FocusCoverage.run() & LadderCoverage.run() & PictureWidths.run() & SoundSteps.run();
            case "power" -> kept = PowerSources.run() & PowerHistories.run() & TableSpeed.run();
            case "levelling" -> kept = Levelling.run();
            case "solve" -> kept = HostileLines.run();
            case "bundle" -> kept = BundleTrip.run(words);
            case "climate" -> kept = ClimateSpeed.run();
            case "difference" -> kept = DifferencePairs.run();
            case "advice" -> kept = Advice.run(words);
            case "attack" -> kept = Attack.run(words);
            case "flips" -> kept = FlippedBytes.run(words);
            case "start" -> kept = StartSpeed.run(words);
            case "keystroke" -> kept = KeystrokeSpeed.run(words);
            case "duct" -> kept = DuctSpeed.run();
            case "durability" -> kept = Durability.run(words);
            case "logbook" -> kept = LogbookSpeed.run(words);
            case "trace" -> kept = TraceSpeed.run();
            case "visit" -> kept = VisitPlans.run();
            case "words" -> kept = Sentences.run(words);
            default -> {
                System.out.print("""
                        bench advice      what every procedure says is done to the letter, on 5,000 worksheets that do not pass
                        bench alignment   1,000 gantries aligned to the letter: shots, how true they end, faults named (N: so many)
                        bench attack      what is known to have been tried against the logbook, again (--damages N, --kills N)
                        bench bundle      export, import, verify: the demo, and 100,000 entries with 2 GB of attachments
                        bench climate     a year of a climate logger, a line a minute: read, judged and drawn
                        bench difference  how often the planted cause of a difference comes first
                        bench duct        10,000 extractions: how long a finding takes, and whether fan and run meet where it says
                        bench durability  programs killed while recording, power cuts, failing disks (--runs N, --windows N, --cuts N)
                        bench flips       one byte flipped in the file at 2,000 places; a chain rewritten as a whole
                        bench focus       how often the stated interval of a ramp and of a ladder holds the true best gap, and both together
                        bench levelling   1,000 beds and heads: true after one pass, twists named
                        bench keystroke   the interface thread's work for a keystroke, and until the picture has changed
                        bench logbook     a shop of 500 machines and 5,000,000 entries (--entries N, --machines N, --keep DIR)
                                                bench power       ceilings found, watts met, dirt told from age, blocks warmed, a table of settings converted
                        bench solve       hostile and plain worksheets: answers, memory, speed
                        bench trace       how many beams a thread traces through a pretend gantry in a second
                        bench visit       1,000 visits of up to 60 tasks: how near a plan comes to the bound, and how fast
                        bench words       every phrase of the program into docs/words.md, to be read through
                        bench start       from launch to the frame that shows the machines, beside a bare window
                        """);
                kept = word.isEmpty();
            }
        }
        System.exit(kept ? 0 : 1);
    }
}
