package zebrawood.desktop.logbook;

import java.util.Locale;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.eyewear.EyewearPair;
import zebrawood.core.eyewear.Marking;
import zebrawood.core.route.StopState;

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
        if (entry.body() instanceof Body.Foreign) {
            return StopState.UNCLEAR;
        } else if (entry.body() instanceof Body.Started started) {
            return started.check().isRight() ? StopState.PASSED : StopState.FAILED;
        }
        return entry.body() instanceof Body.PointOpened
                ? StopState.OPEN
                : entry.body() instanceof Body.PointClosed ? StopState.PASSED : StopState.NOTE;
    }

    /** The verdict, or what stands for one. */
    static String word(Entry entry) {
        if (entry.body() instanceof Body.Measured measured) {
            return measured.verdict().name();
        } else if (entry.body() instanceof Body.GateLine line) {
            return line.lifted() ? "LIFTED" : "NOT SO";
        }
        if (entry.body() instanceof Body.Worked worked) {
            return worked.result().outcome().score().isPresent()
                    ? worked.result().outcome().score().getAsInt() + " OF 10"
                    : "WORK";
        } else if (entry.body() instanceof Body.PointOpened) {
            return "OPEN";
        } else if (entry.body() instanceof Body.PointClosed) {
            return "CLOSED";
        } else if (entry.body() instanceof Body.Started started) {
            return started.check().isRight() ? "STARTED" : "NOT STARTED";
        } else if (entry.body() instanceof Body.ServiceBegun) {
            return "COVERS OPEN";
        } else if (entry.body() instanceof Body.EyewearSeen seen) {
            return seen.pair().condition().words().toUpperCase(Locale.ROOT);
        } else if (entry.body() instanceof Body.Foreign foreign) {
            return foreign.verdict().orElse("NOT KNOWN HERE");
        }
        return entry.body() instanceof Body.Happened ? "EVENT" : "PLATE";
    }

    static String detail(Entry entry) {
        if (entry.body() instanceof Body.Measured measured) {
            return measured.shown().evidence().stream()
                    .findFirst()
                    .map(pair -> pair.label() + " " + pair.figure()
                            + (pair.figure()
                                            .startsWith(
                                                    measured.shown().keyFigure().split(" ")[0])
                                    ? ""
                                    : ", " + measured.shown().keyFigure()))
                    .orElse(measured.shown().keyFigure());
        } else if (entry.body() instanceof Body.GateLine line) {
            return line.title() + (line.lifted() ? "" : ": not so");
        } else if (entry.body() instanceof Body.Happened happened) {
            return happened.change().words()
                    + happened.cleaning()
                            .map(cleaning -> " " + cleaning.surface())
                            .orElse("")
                    + (happened.remark().isEmpty() ? "" : ": " + happened.remark());
        } else if (entry.body() instanceof Body.Worked worked) {
            return worked.result().stock().kind() + ": "
                    + worked.result().outcome().word();
        } else if (entry.body() instanceof Body.PointOpened point) {
            return point.what();
        } else if (entry.body() instanceof Body.PointClosed closed) {
            return closed.what() + ": " + closed.how();
        } else if (entry.body() instanceof Body.Started started) {
            return started.check().isRight()
                    ? "all right, " + started.check().stays() + " stays"
                    : started.check().wrong().get(0).words();
        } else if (entry.body() instanceof Body.ServiceBegun begun) {
            return begun.service().minutes() + " minutes, " + begun.service().who() + ", open: "
                    + String.join(", ", begun.service().open());
        } else if (entry.body() instanceof Body.EyewearSeen seen) {
            return seen.pair().name() + ": " + marked(seen.pair());
        } else if (entry.body() instanceof Body.Foreign) {
            return "an entry of Zebrawood " + entry.stamp().program() + ", not known here";
        }
        return "the plate as it is from then on";
    }

    /** What is marked on eyewear, in words. */
    static String marked(EyewearPair pair) {
        return pair.marks().isEmpty() ? "no marking to read" : Marking.words(pair.marks());
    }
}
