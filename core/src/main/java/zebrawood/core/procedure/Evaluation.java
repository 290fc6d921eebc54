package zebrawood.core.procedure;

import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.reading.RecordShape;
import zebrawood.core.units.NotFiniteException;

/**
 * One procedure run on one set of readings, whoever asks: the window, {@code solve}, {@code record}. Whatever a
 * procedure does, an answer comes of it: an outcome of finite numbers, a refusal, or the fault it ran into, told as the
 * fault it is.
 *
 * @param <F> finding
 */
public sealed interface Evaluation<F extends Record> {

    /** What is said of readings whose finding outgrows all numbers. */
    String TOO_EXTREME = "these numbers are too large or too small to compute with";

    /** It came to this. */
    record Found<F extends Record>(Outcome<F> outcome) implements Evaluation<F> {}

    /** These readings cannot be computed with. */
    record Refused<F extends Record>(ReadingException why) implements Evaluation<F> {}

    /** The procedure has a fault: what it threw. */
    record Faulty<F extends Record>(Throwable fault) implements Evaluation<F> {}

    /** The outcome, where there is one. */
    default Optional<Outcome<F>> found() {
        return this instanceof Found<F> found ? Optional.of(found.outcome()) : Optional.empty();
    }

    /** Runs a procedure; never throws, but for an error of the machine it runs on, such as a lack of memory. */
    static <R extends Record, F extends Record> Evaluation<F> of(Procedure<R, F> procedure, R readings) {
        try {
            Outcome<F> outcome = procedure.evaluate(readings);
            return isFinite(outcome.finding()) ? new Found<>(outcome) : new Refused<>(tooExtreme());
        } catch (ReadingException refused) {
            return new Refused<>(refused);
        } catch (NotFiniteException outgrown) {
            return new Refused<>(tooExtreme());
        } catch (RuntimeException | StackOverflowError fault) {
            return new Faulty<>(fault);
        }
    }

    private static ReadingException tooExtreme() {
        return new ReadingException("readings", TOO_EXTREME);
    }

    /** Whether every number in a value is finite, however deep it stands. */
    private static boolean isFinite(Object value) {
        if (value instanceof Double number) {
            return Double.isFinite(number);
        } else if (value instanceof OptionalDouble number) {
            return number.isEmpty() || Double.isFinite(number.getAsDouble());
        } else if (value instanceof Optional<?> optional) {
            return optional.isEmpty() || isFinite(optional.get());
        } else if (value instanceof Collection<?> many) {
            return many.stream().allMatch(Evaluation::isFinite);
        } else if (value instanceof Map<?, ?> map) {
            return isFinite(map.values());
        } else if (value instanceof Record record) {
            return RecordShape.of(record.getClass()).components().stream()
                    .allMatch(part -> isFinite(RecordShape.read(part, record)));
        }
        return true;
    }
}
