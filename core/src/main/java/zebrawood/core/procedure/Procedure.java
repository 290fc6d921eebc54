package zebrawood.core.procedure;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.Said;

/**
 * Turns readings into a finding. Procedures are pure: the same readings always give the same outcome.
 *
 * @param <R> readings, a record whose constructor refuses what cannot be
 * @param <F> finding, a record that carries all its drawing and its entry will ever need
 */
public interface Procedure<R extends Record, F extends Record> {

    Card card();

    Class<R> readingsType();

    Class<F> findingType();

    /** Whether this machine has such a stop. */
    boolean appliesTo(Plate plate);

    /**
     * What this stop needs of the plate and does not find there, as paths in the plate's JSON in the order in which it
     * is asked for; a stop that may not be on this machine asks for what decides it.
     */
    default List<String> lacks(Plate plate) {
        return List.of();
    }

    /** Days between checks that the plate asks for, where it does. */
    default OptionalInt recheckDays(Plate plate) {
        return OptionalInt.empty();
    }

    /** Beam hours after which it is due again, where days are not all that counts. */
    default OptionalDouble recheckHours() {
        return OptionalDouble.empty();
    }

    /** The beam hours at which these readings were taken, where they say it. */
    default OptionalDouble takenAtHours(R readings) {
        return OptionalDouble.empty();
    }

    /** Whether its findings tell how long the source has been on. */
    default boolean tellsBeamTime() {
        return false;
    }

    /** How long the source has been on, where it tells that. */
    default Optional<BeamTime> beamTime(F finding) {
        return Optional.empty();
    }

    /** @throws zebrawood.core.reading.ReadingException where the readings cannot be computed with */
    Outcome<F> evaluate(R readings);

    /**
     * The component of a finding without which it proves nothing, as it was only looked for in a quick way; empty where
     * every finding proves its figure.
     */
    default Optional<String> proof() {
        return Optional.empty();
    }

    /** What a colleague would ask for: {@code dew 9.3 °C}. */
    Said keyFigure(F finding);

    /** The figures the verdict rests on. */
    List<Evidence> evidence(F finding);

    /** The limits it was judged by, as for a certificate. */
    Said judgedBy(F finding);

    /** What later results may depend on, as these readings found it; compared with how it was found another time. */
    default List<Trait> traits(R readings, F finding, Family family) {
        return List.of();
    }
}
