package zebrawood.core.safety;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.machine.Plate.Part;
import zebrawood.core.machine.Plate.Presence;
import zebrawood.core.units.Amount;

/**
 * The bars before first light, as this machine has them: about water, covers, a delivery fibre and air, unless its
 * plate says that there is none. First what is looked at with the mains off, then what it has power for and cannot
 * fire, then the first pulse: no bar asks for the main beam before the last one. What they say stands as data in
 * {@code first-light.properties}.
 */
public final class FirstLight {

    /** Its id on the Route. */
    public static final String ID = "first-light";

    private FirstLight() {}

    /** The bars of this machine, in order; the last one is the only one that fires. */
    public static List<Bar> bars(Plate plate) {
        BarBook book = BarBook.of(plate.family());
        List<Bar> bars = new ArrayList<>();
        for (Bar bar : book.bars()) {
            Optional<Part> part = book.part(bar.id());
            Optional<Part> without = book.without(bar.id());
            boolean has = part.isEmpty() || plate.presence(part.get()) != Presence.NONE;
            boolean lacks = without.isEmpty() || plate.presence(without.get()) == Presence.NONE;
            if (has && lacks) {
                bars.add(said(bar, book, plate));
            }
        }
        return bars;
    }

    /** What a stage of the gate is called. */
    public static String title(Bar.Stage stage, Family family) {
        return BarBook.of(family).title(stage);
    }

    /** How the laser of this family is held off while the machine has power, as an instruction. */
    public static String held(Family family) {
        return BarBook.of(family).held();
    }

    /** With what this machine's plate says put in. */
    private static Bar said(Bar bar, BarBook book, Plate plate) {
        String wavelength = plate.wavelengthNm().isPresent()
                ? wavelength(plate.wavelengthNm().getAsDouble())
                : "this wavelength";
        String marked =
                plate.wavelengthNm().isPresent() ? wavelength : "this laser's wavelength (it stands on its label)";
        OptionalDouble rated = plate.source().map(Plate.Source::ratedCurrentMa).orElse(OptionalDouble.empty());
        Optional<Part> part = book.part(bar.id());
        Optional<Part> asked =
                part.isPresent() && plate.presence(part.get()) == Presence.UNKNOWN ? part : Optional.empty();
        // where the plate names no current, none is asked for
        boolean noCurrent = bar.writes().form() == Bar.Form.CURRENT && rated.isEmpty();
        return new Bar(
                bar.id(),
                bar.title().replace("{wavelength}", wavelength),
                bar.action().replace("{marked}", marked).replace("{held}", book.held()),
                bar.look(),
                bar.yes(),
                bar.others(),
                asked,
                noCurrent ? Bar.Written.IF_ANY : bar.writes().most(rated),
                bar.kind(),
                bar.stage(),
                bar.minutes(),
                bar.waitMinutes(),
                bar.needed(),
                bar.caution(),
                bar.tests());
    }

    /** {@code 10.6 µm} from 2 µm on, else {@code 355 nm}. */
    public static String wavelength(double wavelengthNm) {
        return wavelengthNm >= 2000
                ? String.format(Locale.ROOT, "%s µm", Amount.exact(wavelengthNm / 1000))
                : String.format(Locale.ROOT, "%s nm", Amount.exact(wavelengthNm));
    }
}
