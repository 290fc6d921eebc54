package zebrawood.core.safety;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.machine.Plate;

/**
 * One bar of a gate: a thing to do and to see.
 *
 * @param id never changes
 * @param title what is so once it is lifted
 * @param action what to do
 * @param look what to look for, as a question
 * @param yes the answer that lifts it
 * @param others the answers that do not, each with what follows from it; at least one
 * @param absent the part that it is about, where the plate does not say whether this machine has one: then it can be
 *     answered that there is none, which is written to the plate
 * @param writes what is written beside it
 * @param kind whether anything is switched on for it, or the laser fires
 * @param stage what the machine may have while it is answered
 * @param minutes how long the hands take
 * @param waitMinutes how long has to be watched before it can be answered; 0 where nothing is waited for
 * @param needed what to bring
 * @param caution what can hurt while it is done
 * @param tests what is tested or read for it
 */
public record Bar(
        String id,
        String title,
        String action,
        String look,
        String yes,
        List<Other> others,
        Optional<Plate.Part> absent,
        Written writes,
        Kind kind,
        Stage stage,
        int minutes,
        int waitMinutes,
        List<String> needed,
        String caution,
        List<BarTest> tests) {

    /** What "this machine has none" is called on every bar that offers it. */
    public static final String NONE_HERE = "This machine has none";

    /** What a bar does to the machine. */
    public enum Kind {
        /** looked at and made ready; nothing is switched on that could hurt */
        LOOK,
        /** the machine is switched on for it, and moves, or could */
        ENERGISES,
        /** the laser fires */
        FIRES
    }

    /** What the machine has while a bar is answered: no mains, power without a laser that can fire, or both. */
    public enum Stage {
        OFF,
        POWERED,
        FIRES
    }

    /** An answer that does not lift the bar, and what to do then. */
    public record Other(String words, String then) {}

    /** What is written beside an answer that lifts. */
    public enum Form {
        /** a remark, if any */
        REMARK,
        /** who tested, when, and until when that is good */
        TEST,
        /** the covers by name, each ticked */
        COVERS,
        /** what the current meter shows */
        CURRENT
    }

    /**
     * @param form what sort of thing
     * @param what in words: what to write; empty for a remark that need not be
     * @param mostMa the most current that may have been seen, mA, where the plate says it
     */
    public record Written(Form form, String what, OptionalDouble mostMa) {
        static final Written IF_ANY = new Written(Form.REMARK, "", OptionalDouble.empty());

        Written most(OptionalDouble rated) {
            return new Written(form, what, rated);
        }
    }

    public Bar {
        others = List.copyOf(others);
        needed = List.copyOf(needed);
        tests = List.copyOf(tests);
    }

    /** The same, to be lifted only once the covers that are open are shut. */
    public Bar afterService(ServiceFiring service) {
        List<BarTest> more = new ArrayList<>(tests);
        more.add(0, service.covers());
        return new Bar(
                id,
                title,
                action,
                look,
                yes,
                others,
                absent,
                writes,
                kind,
                stage,
                minutes,
                waitMinutes,
                needed,
                caution,
                more);
    }

    /** Whether the laser fires for it. */
    public boolean fires() {
        return kind == Kind.FIRES;
    }

    /** Whether it is lifted only with something written beside it. */
    public boolean needsRemark() {
        return writes.form() != Form.REMARK;
    }

    /** The plain answer that does not lift it. */
    public Other no() {
        return others.get(0);
    }

    /** What to do after the answer that was recorded with this remark: it begins with the answer's words. */
    public String then(String remark) {
        return others.stream()
                .filter(other -> remark.startsWith(other.words()))
                .findFirst()
                .orElse(no())
                .then();
    }
}
