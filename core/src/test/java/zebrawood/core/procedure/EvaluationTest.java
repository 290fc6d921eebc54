package zebrawood.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import org.hipparchus.exception.LocalizedCoreFormats;
import org.hipparchus.exception.MathIllegalStateException;
import org.junit.jupiter.api.Test;
import zebrawood.core.machine.Plate;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Said;

/** Whatever a procedure does, an answer comes of it. */
class EvaluationTest {

    /** Readings with one number. */
    public record One(double number) {}

    public record Found(
            double number, OptionalDouble maybe, Optional<One> inside, List<One> many, Map<String, Double> named) {}

    private record Doing(Function<One, Found> what) implements Procedure<One, Found> {
        @Override
        public Card card() {
            return new Card(
                    "made-up",
                    1,
                    "Made up",
                    Card.OnRoute.in(Phase.PLACE, 1),
                    Set.of(),
                    List.of(),
                    1,
                    1,
                    new Help(List.of(), List.of(), "", List.of()));
        }

        @Override
        public Class<One> readingsType() {
            return One.class;
        }

        @Override
        public Class<Found> findingType() {
            return Found.class;
        }

        @Override
        public boolean appliesTo(Plate plate) {
            return true;
        }

        @Override
        public Outcome<Found> evaluate(One readings) {
            return new Outcome<>(what.apply(readings), Verdict.NOTE, List.of());
        }

        @Override
        public Said keyFigure(Found finding) {
            return Said.of("found");
        }

        @Override
        public List<Evidence> evidence(Found finding) {
            return List.of();
        }

        @Override
        public Said judgedBy(Found finding) {
            return Said.of("nothing");
        }
    }

    private static Found found(double number) {
        return new Found(
                number,
                OptionalDouble.of(number),
                Optional.of(new One(number)),
                List.of(new One(1), new One(number)),
                Map.of("one", number));
    }

    private static Evaluation<Found> evaluated(Function<One, Found> what) {
        return Evaluation.of(new Doing(what), new One(1));
    }

    private static void refused(Evaluation<Found> evaluation, String words) {
        assertThat(evaluation)
                .isInstanceOfSatisfying(
                        Evaluation.Refused.class,
                        refused -> assertThat(refused.why()).hasMessageContaining(words));
        assertThat(evaluation.found()).isEmpty();
    }

    @Test
    void whatWasFoundIsHandedOn() {
        assertThat(evaluated(read -> found(2)).found().orElseThrow().finding()).isEqualTo(found(2));
    }

    @Test
    void aFindingThatIsNotFiniteIsRefusedHoweverDeepTheNumberStands() {
        Found sound = found(1);
        for (double wrong : new double[] {Double.NaN, Double.POSITIVE_INFINITY}) {
            refused(
                    evaluated(read -> new Found(wrong, sound.maybe(), sound.inside(), sound.many(), sound.named())),
                    Evaluation.TOO_EXTREME);
            refused(
                    evaluated(read ->
                            new Found(1, OptionalDouble.of(wrong), sound.inside(), sound.many(), sound.named())),
                    Evaluation.TOO_EXTREME);
            refused(
                    evaluated(read ->
                            new Found(1, sound.maybe(), Optional.of(new One(wrong)), sound.many(), sound.named())),
                    Evaluation.TOO_EXTREME);
            refused(
                    evaluated(read -> new Found(
                            1, sound.maybe(), sound.inside(), List.of(new One(1), new One(wrong)), sound.named())),
                    Evaluation.TOO_EXTREME);
            refused(
                    evaluated(read -> new Found(1, sound.maybe(), sound.inside(), sound.many(), Map.of("one", wrong))),
                    Evaluation.TOO_EXTREME);
        }
        refused(evaluated(read -> found(Amount.mm(Double.NaN, 1).base())), Evaluation.TOO_EXTREME);
    }

    @Test
    void whatTheProcedureRefusesIsRefusedInItsWords() {
        refused(
                evaluated(read -> {
                    throw new ReadingException("number", "1 is odd");
                }),
                "1 is odd");
    }

    @Test
    void aFaultIsToldAsTheFaultItIsNeverAsNumbersTooLarge() {
        for (RuntimeException fault : List.of(
                new IllegalArgumentException("a limit the wrong way round"),
                new NullPointerException(),
                new ArithmeticException("/ by zero"),
                new IndexOutOfBoundsException(3),
                new MathIllegalStateException(LocalizedCoreFormats.SIMPLE_MESSAGE, "singular"))) {
            assertThat(evaluated(read -> {
                        throw fault;
                    }))
                    .as(fault.toString())
                    .isEqualTo(new Evaluation.Faulty<>(fault));
        }
        assertThat(evaluated(EvaluationTest::endless))
                .isInstanceOfSatisfying(
                        Evaluation.Faulty.class,
                        faulty -> assertThat(faulty.fault()).isInstanceOf(StackOverflowError.class));
    }

    private static Found endless(One read) {
        return backAgain(read);
    }

    private static Found backAgain(One read) {
        return endless(read);
    }
}
