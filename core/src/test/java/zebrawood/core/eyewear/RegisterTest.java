package zebrawood.core.eyewear;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class RegisterTest {

    private static final double[] LINES = {355, 450, 532, 1064, 1070, 10600};

    private static Register.Need need(SplittableRandom random, int i) {
        double nm = LINES[random.nextInt(LINES.length)];
        boolean measured = random.nextInt(5) > 0;
        boolean second = random.nextInt(6) == 0;
        return new Register.Need(
                "m" + i,
                "Unit " + i,
                second ? List.of(nm, LINES[random.nextInt(LINES.length)]) : List.of(nm),
                measured ? OptionalDouble.of(nm) : OptionalDouble.empty(),
                measured ? random.nextInt(8) : 0,
                random.nextBoolean(),
                random.nextInt(4) == 0 ? OptionalInt.empty() : OptionalInt.of(1 + random.nextInt(40)));
    }

    private static EyewearPair pair(SplittableRandom random, int i) {
        List<EyewearPair.Mark> marks = new ArrayList<>();
        for (int mark = random.nextInt(4); mark > 0; mark--) {
            double line = LINES[random.nextInt(LINES.length)];
            double from = random.nextBoolean() ? line : line - random.nextInt(200);
            marks.add(new EyewearPair.Mark(
                    from,
                    random.nextInt(3) == 0 ? from : from + random.nextInt(400),
                    random.nextInt(10),
                    random.nextInt(3) == 0
                            ? Optional.empty()
                            : Optional.of(EyewearPair.Light.values()[random.nextInt(2)])));
        }
        return new EyewearPair(
                "pair " + i,
                random.nextInt(8) == 0 ? Optional.of("m" + random.nextInt(50)) : Optional.empty(),
                marks,
                random.nextInt(3) == 0
                        ? EyewearPair.Condition.values()[random.nextInt(EyewearPair.Condition.values().length)]
                        : EyewearPair.Condition.SOUND,
                "");
    }

    /** Said over again, without looking at how it is done: every wavelength has one mark that is enough for it. */
    private static boolean isGood(EyewearPair pair, Register.Need need) {
        boolean here = pair.window().map(need.machineId()::equals).orElse(true);
        if (pair.condition() != EyewearPair.Condition.SOUND
                || !here
                || need.measuredNm().isEmpty()) {
            return false;
        }
        for (double nm : need.wavelengthsNm()) {
            boolean enough = false;
            for (EyewearPair.Mark mark : pair.marks()) {
                enough |= nm >= mark.fromNm()
                        && nm <= mark.toNm()
                        && nm == need.measuredNm().getAsDouble()
                        && mark.density() >= need.density()
                        && (!need.pulsed() || mark.light().equals(Optional.of(EyewearPair.Light.PULSES)));
            }
            if (!enough) {
                return false;
            }
        }
        return true;
    }

    @Test
    void theTableSaysWhatCountingByHandSays() {
        SplittableRandom random = new SplittableRandom(15);
        List<EyewearPair> recorded = new ArrayList<>();
        for (int i = 0; i < 500; i++) {
            recorded.add(pair(random, i));
        }
        Register register = Register.of(recorded);
        int good = 0;
        for (int i = 0; i < 50; i++) {
            Register.Need need = need(random, i);
            int wearable = 0;
            for (EyewearPair pair : register.pairs()) {
                Register.Judged judged = Register.judge(pair, need);
                assertThat(judged.fit() == Register.Fit.GOOD)
                        .as("%s for %s: %s", pair, need, judged)
                        .isEqualTo(isGood(pair, need));
                assertThat(judged.why()).isNotBlank();
                wearable += isGood(pair, need) && pair.window().isEmpty() ? 1 : 0;
            }
            assertThat(register.good(need)).isEqualTo(wearable);
            boolean enough =
                    need.people().isPresent() && wearable >= need.people().getAsInt();
            assertThat(register.enough(need).fit() == Register.Fit.GOOD).isEqualTo(enough);
            good += wearable;
        }
        assertThat(good).as("some are good, or nothing was tried").isGreaterThan(100);
        assertThat(register.pairs()).noneMatch(pair -> pair.condition() == EyewearPair.Condition.GONE);
    }

    private static final Register.Need HERON =
            new Register.Need("heron", "Heron", List.of(1064.0), OptionalDouble.of(1064), 5, true, OptionalInt.of(2));

    private static EyewearPair marked(EyewearPair.Condition condition, EyewearPair.Mark... marks) {
        return new EyewearPair("A", Optional.empty(), List.of(marks), condition, "");
    }

    @Test
    void whyItIsNotGoodIsSaidAndWhatIsNotKnownIsAsked() {
        EyewearPair.Mark good = new EyewearPair.Mark(900, 1100, 6, Optional.of(EyewearPair.Light.PULSES));
        assertThat(Register.judge(marked(EyewearPair.Condition.SOUND, good), HERON))
                .isEqualTo(new Register.Judged(Register.Fit.GOOD, "OD 6"));
        assertThat(Register.judge(marked(EyewearPair.Condition.SCRATCHED, good), HERON))
                .isEqualTo(new Register.Judged(Register.Fit.NOT, "scratched"));
        assertThat(Register.judge(marked(EyewearPair.Condition.SOUND), HERON).why())
                .isEqualTo("no marking to read");
        assertThat(Register.judge(
                        marked(
                                EyewearPair.Condition.SOUND,
                                new EyewearPair.Mark(900, 1100, 4.9, Optional.of(EyewearPair.Light.PULSES))),
                        HERON))
                .isEqualTo(new Register.Judged(Register.Fit.NOT, "OD 4.9, needs 5"));
        assertThat(Register.judge(
                                marked(
                                        EyewearPair.Condition.SOUND,
                                        new EyewearPair.Mark(900, 1063, 7, Optional.empty())),
                                HERON)
                        .why())
                .isEqualTo("not marked for 1064 nm");
        assertThat(Register.judge(
                        marked(EyewearPair.Condition.SOUND, new EyewearPair.Mark(1064, 1064, 5, Optional.empty())),
                        HERON))
                .isEqualTo(new Register.Judged(Register.Fit.ASK, "does not say whether for pulses"));
        assertThat(Register.judge(
                        marked(
                                EyewearPair.Condition.SOUND,
                                new EyewearPair.Mark(1064, 1064, 5, Optional.of(EyewearPair.Light.STEADY))),
                        HERON))
                .isEqualTo(new Register.Judged(Register.Fit.NOT, "not for pulses"));
    }

    @Test
    void theNewestOfANameCountsAndOneThatIsGoneIsNot() {
        EyewearPair.Mark mark = new EyewearPair.Mark(900, 1100, 6, Optional.of(EyewearPair.Light.PULSES));
        EyewearPair first =
                new EyewearPair("Left hook", Optional.empty(), List.of(mark), EyewearPair.Condition.SOUND, "");
        EyewearPair scratched =
                new EyewearPair("left hook ", Optional.empty(), List.of(mark), EyewearPair.Condition.SCRATCHED, "");
        EyewearPair other = new EyewearPair("Drawer", Optional.empty(), List.of(mark), EyewearPair.Condition.SOUND, "");
        assertThat(Register.of(List.of(first, other)).enough(HERON))
                .isEqualTo(new Register.Judged(Register.Fit.GOOD, "2 good pairs for 2 people"));
        Register now = Register.of(List.of(first, other, scratched));
        assertThat(now.pairs()).containsExactly(other, scratched);
        assertThat(now.enough(HERON))
                .isEqualTo(new Register.Judged(Register.Fit.NOT, "1 good pair for 2 people: 1 missing"));
        EyewearPair gone = new EyewearPair("DRAWER", Optional.empty(), List.of(), EyewearPair.Condition.GONE, "");
        assertThat(Register.of(List.of(first, other, gone)).pairs()).containsExactly(first);
    }
}
