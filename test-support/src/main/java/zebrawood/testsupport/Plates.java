package zebrawood.testsupport;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;

/** Plates that say little. */
public final class Plates {

    private Plates() {}

    /** A plate with nothing on it but a name and a family. */
    public static Plate bare(String name, Family family) {
        return of(name, family, Optional.empty());
    }

    /** A plate that says besides which light the machine makes, in nm. */
    public static Plate lasing(String name, Family family, double wavelengthNm) {
        return of(
                name,
                family,
                Optional.of(new Plate.Source(
                        Optional.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        List.of(wavelengthNm),
                        OptionalDouble.empty())));
    }

    private static Plate of(String name, Family family, Optional<Plate.Source> source) {
        return new Plate(
                name,
                family,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                source,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }
}
