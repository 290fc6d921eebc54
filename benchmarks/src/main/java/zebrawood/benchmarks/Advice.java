package zebrawood.benchmarks;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.Function;
import java.util.regex.Pattern;
import zebrawood.benches.Catalogue;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.units.UnreadableException;
import zebrawood.json.Binder;

/**
 * For every procedure seeded worksheets that do not pass: what the instructions say is done to the letter, with the
 * figures as they are shown, and solved again. Then it passes, or the sentence said that more is needed; and it
 * arrives.
 */
final class Advice {

    private static final int EACH = 5_000;
    /** steps after which advice that has not arrived never will */
    private static final int MOST_STEPS = 16;

    private static final int SHOWN = 3;
    /** what says beforehand that one step is not the end */
    private static final Pattern MORE = Pattern.compile(
            "not enough|again|[Mm]ore may be needed|[Ss]hoot at|said next|second line|[Tt]ype |more widths|[Mm]easure on|Say what|Record the text|or fit");

    /** procedures that judge nothing: no worksheet of theirs fails, and there is no advice to arrive at a pass */
    static final Set<String> ESTIMATES = Set.of("eyewear", "beam-hours", "block-power", "energy-match");

    private Advice() {}

    /** What became of one sentence. */
    enum Done {
        /** it was done */
        DID,
        /** it leads to somebody else, or to a decision that only a person can take */
        PERSON,
        /** nobody here knows what to do with these words */
        WHAT
    }

    /**
     * A sentence and what it is about.
     *
     * @param letters its figures as they are shown, in the units of the readings
     * @param handLetters the figures of how the hand does it
     */
    record Step(Instruction instruction, List<Double> letters, List<Double> handLetters) {
        String words() {
            return instruction.action().words();
        }

        /** The sentence with what follows it. */
        String all() {
            return instruction.sentence(UnitChoice.METRIC);
        }

        boolean says(String words) {
            return words().contains(words);
        }

        double letter(int which) {
            return letters.get(which);
        }
    }

    /** Somebody who does what a sentence says, on the worksheet of a machine. */
    interface Hands {
        Done follow(ObjectNode sheet, Step step, SplittableRandom random);
    }

    /**
     * A procedure to be tried.
     *
     * @param worksheet makes readings, sound or not
     * @param hands does what is said
     * @param read what the procedure gets of a sheet: all of it, but where a sheet holds the true state of a machine
     * @param dear of how many worksheets only one is tried, because each takes so long
     */
    record Tried(
            String id,
            Function<SplittableRandom, ObjectNode> worksheet,
            Hands hands,
            Function<ObjectNode, ObjectNode> read,
            int dear) {
        Tried(String id, Function<SplittableRandom, ObjectNode> worksheet, Hands hands) {
            this(id, worksheet, hands, sheet -> sheet);
        }

        Tried(
                String id,
                Function<SplittableRandom, ObjectNode> worksheet,
                Hands hands,
                Function<ObjectNode, ObjectNode> read) {
            this(id, worksheet, hands, read, 1);
        }
    }

    /** @param words {@code advice}, and the id of a procedure where only that one is tried */
    static boolean run(String... words) {
        List<Tried> all = all();
        boolean kept = all.size() + ESTIMATES.size() == Catalogue.procedures().size();
        if (!kept) {
            System.out.println("advice: not every procedure is tried");
        }
        for (Tried tried : all) {
            kept &= words.length > 1 && !words[1].equals(tried.id()) || run(tried);
        }
        return kept;
    }

    /** Every procedure of the catalogue, with its hands. */
    static List<Tried> all() {
        List<Tried> all = new ArrayList<>(AdvicePlace.ALL);
        all.addAll(AdviceWater.ALL);
        all.addAll(AdviceBeam.ALL);
        all.addAll(AdvicePath.ALL);
        all.addAll(AdviceLevel.ALL);
        all.addAll(AdviceFocus.ALL);
        all.addAll(AdviceHeight.ALL);
        all.addAll(AdvicePower.ALL);
        return all;
    }

    /** What did not arrive of so many worksheets that do not pass, each step by step. */
    static List<String> wrong(Tried tried, int worksheets) {
        return counted(tried, worksheets).wrong;
    }

    /** Counts over many worksheets. */
    private static final class Counts {
        private int tried;
        private int atOnce;
        private int later;
        private int person;
        private final List<String> wrong = new ArrayList<>();
    }

    private static Counts counted(Tried tried, int worksheets) {
        Procedure<?, ?> procedure = Catalogue.findStop(tried.id()).orElseThrow().procedure();
        SplittableRandom random = new SplittableRandom(20_310_314);
        Counts counts = new Counts();
        while (counts.tried < Math.max(1, worksheets / tried.dear())) {
            ObjectNode sheet = tried.worksheet().apply(random);
            if (!evaluate(procedure, tried.read().apply(sheet)).verdict().satisfies()) {
                counts.tried++;
                follow(tried, procedure, sheet, random, counts);
            }
        }
        return counts;
    }

    private static boolean run(Tried tried) {
        Counts counts = counted(tried, EACH);
        System.out.printf(
                Locale.ROOT,
                "advice %-20s %d that do not pass: %d pass after one step, %d after several that were said, %d lead to a"
                        + " person, %d wrong: %.2f %%%n",
                tried.id() + ":",
                counts.tried,
                counts.atOnce,
                counts.later,
                counts.person,
                counts.wrong.size(),
                100.0 * (counts.tried - counts.wrong.size()) / counts.tried);
        counts.wrong.stream().limit(SHOWN).forEach(System.out::println);
        return counts.wrong.isEmpty();
    }

    private static void follow(
            Tried tried, Procedure<?, ?> procedure, ObjectNode first, SplittableRandom random, Counts counts) {
        UnitChoice units = random.nextInt(3) == 0 ? new UnitChoice(true, true) : UnitChoice.METRIC;
        ObjectNode sheet = first;
        StringBuilder told = new StringBuilder("  " + first);
        for (int step = 1; step <= MOST_STEPS; step++) {
            Outcome<?> outcome = evaluate(procedure, tried.read().apply(sheet));
            ObjectNode next = sheet.deepCopy();
            boolean more = false;
            Done done = Done.DID;
            for (Instruction instruction : outcome.instructions()) {
                Step each = new Step(
                        instruction,
                        letters(instruction.action().amounts(), units),
                        letters(instruction.byHand().map(said -> said.amounts()).orElse(List.of()), units));
                more |= MORE.matcher(each.all()).find();
                // another way to the same end
                Done now = each.words().startsWith("Or ")
                        ? Done.DID
                        : tried.hands().follow(next, each, random);
                told.append("\n    ")
                        .append(each.all())
                        .append(" [")
                        .append(now)
                        .append(']');
                done = now == Done.WHAT || done == Done.DID ? now : done;
            }
            if (done == Done.PERSON) {
                counts.person++;
                return;
            } else if (done == Done.WHAT) {
                counts.wrong.add(told + "\n    NOBODY KNOWS WHAT TO DO");
                return;
            }
            boolean passes =
                    evaluate(procedure, tried.read().apply(next)).verdict().satisfies();
            if (passes) {
                counts.atOnce += step == 1 ? 1 : 0;
                counts.later += step == 1 ? 0 : 1;
                return;
            } else if (!more) {
                counts.wrong.add(told + "\n    IS NOT ENOUGH: " + next);
                return;
            }
            sheet = next;
        }
        counts.wrong.add(told + "\n    NEVER ARRIVES");
    }

    /** Figures as somebody reads them off in these units. */
    private static List<Double> letters(List<Amount> amounts, UnitChoice units) {
        return amounts.stream().map(amount -> letter(amount, units)).toList();
    }

    private static double letter(Amount amount, UnitChoice units) {
        try {
            return Typed.read(amount.number(units), amount.quantity(), units).base();
        } catch (UnreadableException e) {
            throw new IllegalStateException(amount.text(units), e);
        }
    }

    private static <R extends Record, F extends Record> Outcome<F> evaluate(
            Procedure<R, F> procedure, ObjectNode sheet) {
        return procedure.evaluate(Binder.bind(sheet, procedure.readingsType()));
    }

    /** A number with so many decimals, as it is typed. */
    static double typed(SplittableRandom random, double from, double to, int decimals) {
        double scale = Math.pow(10, decimals);
        return Math.rint((from + (to - from) * random.nextDouble()) * scale) / scale;
    }

    static boolean often(SplittableRandom random, int percent) {
        return random.nextInt(100) < percent;
    }
}
