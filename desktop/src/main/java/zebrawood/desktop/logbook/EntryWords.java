package zebrawood.desktop.logbook;

import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.route.StopState;
import zebrawood.desktop.Catalogue;

/** An entry in a few words, as on the tape. */
final class EntryWords {

    private EntryWords() {}

    static String title(Entry entry) {
        return Catalogue.title(entry.body().stop());
    }

    static StopState shape(Entry entry) {
        if (entry.body() instanceof Body.Measured measured) {
            return StopState.of(measured.verdict());
        } else if (entry.body() instanceof Body.GateLine line) {
            return line.lifted() ? StopState.PASSED : StopState.FAILED;
        }
        return StopState.NOTE;
    }

    /** The verdict, or what stands for one. */
    static String word(Entry entry) {
        if (entry.body() instanceof Body.Measured measured) {
            return measured.verdict().name();
        } else if (entry.body() instanceof Body.GateLine line) {
            return line.lifted() ? "LIFTED" : "NOT SO";
        }
        return entry.body() instanceof Body.Happened ? "EVENT" : "PLATE";
    }

    static String detail(Entry entry) {
        if (entry.body() instanceof Body.Measured measured) {
            return measured.shown().evidence().stream().findFirst()
                    .map(pair -> pair.label() + " " + pair.figure()
                            + (pair.figure().startsWith(measured.shown().keyFigure().split(" ")[0]) ? "" : ", " + measured.shown().keyFigure()))
                    .orElse(measured.shown().keyFigure());
        } else if (entry.body() instanceof Body.GateLine line) {
            return line.title() + (line.lifted() ? "" : ": not so");
        } else if (entry.body() instanceof Body.Happened happened) {
            return happened.change().words() + (happened.remark().isEmpty() ? "" : ": " + happened.remark());
        }
        return "the plate as it is from then on";
    }
}
