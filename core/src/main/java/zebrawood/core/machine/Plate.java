package zebrawood.core.machine;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.reading.Checks;
import zebrawood.core.units.Amount;

/**
 * A machine's plate. Only name and family are needed to begin; a stop says which other field it needs.
 *
 * @param name unique in the shop, case apart
 * @param family what sort of machine it is
 * @param number the shop's own number for it
 * @param place where it stands
 * @param size outer size and mass
 * @param bed what it reaches
 * @param source the laser
 * @param optics lenses, datum and how the gap is set
 * @param services cooling, enclosure, extraction, air, mains
 * @param climate the room it may stand in
 * @param control its controller
 * @param rhythm how often it is looked at again
 * @param without the stops that this machine goes without
 */
public record Plate(
        String name,
        Family family,
        Optional<String> number,
        Optional<String> place,
        Optional<Size> size,
        Optional<Bed> bed,
        Optional<Source> source,
        Optional<Optics> optics,
        Optional<Services> services,
        Optional<ClimateLimits> climate,
        Optional<Control> control,
        Optional<Rhythm> rhythm,
        Optional<Without> without) {

    /**
     * A stop that this machine goes without.
     *
     * @param stop its id
     * @param reason in words
     * @param by initials of who declared it
     * @param day when
     */
    public record NotWanted(String stop, String reason, String by, LocalDate day) {
        public NotWanted {
            new Checks()
                    .text("stop", stop)
                    .text("reason", reason)
                    .text("by", by)
                    .present("day", day)
                    .done();
        }
    }

    /**
     * What somebody declared not wanted; absent, not empty, where nothing is, so that an earlier program can read it.
     */
    public record Without(List<NotWanted> stops) {
        public Without {
            stops = Checks.copy(stops);
            new Checks().that(!stops.isEmpty(), "stops", "must name a stop").done();
        }
    }

    /** Days out of use after which the gate shuts again, where the plate does not say. */
    public static final int DAYS_OUT_OF_USE = 60;

    /** Outer plan size and height in mm, and mass in kg. */
    public record Size(double widthMm, double depthMm, double heightMm, OptionalDouble massKg) {
        public Size {
            new Checks()
                    .within("widthMm", widthMm, 50, 30_000)
                    .within("depthMm", depthMm, 50, 30_000)
                    .within("heightMm", heightMm, 50, 10_000)
                    .above("massKg", massKg, 0)
                    .done();
        }
    }

    /** Bed or galvo field, mm, and where the head sits beside the tool point, mm, any sign. */
    public record Bed(double xMm, double yMm, OptionalDouble headOffsetXMm, OptionalDouble headOffsetYMm) {
        public Bed {
            new Checks()
                    .above("xMm", xMm, 0)
                    .above("yMm", yMm, 0)
                    .finite("headOffsetXMm", headOffsetXMm)
                    .finite("headOffsetYMm", headOffsetYMm)
                    .done();
        }
    }

    /** The laser: kind in words, rated power in W and tube current in mA, wavelengths in nm, beam at the lens in mm. */
    public record Source(
            Optional<String> kind,
            OptionalDouble ratedPowerW,
            OptionalDouble ratedCurrentMa,
            List<Double> wavelengthsNm,
            OptionalDouble beamAtLensMm) {
        public Source {
            wavelengthsNm = Checks.copy(wavelengthsNm);
            Checks checks =
                    new Checks().above("ratedPowerW", ratedPowerW, 0).above("ratedCurrentMa", ratedCurrentMa, 0);
            for (int i = 0; i < wavelengthsNm.size(); i++) {
                checks.within("wavelengthsNm[" + i + "]", wavelengthsNm.get(i), 100, 20_000);
            }
            checks.above("beamAtLensMm", beamAtLensMm, 0).done();
        }
    }

    /** A lens by the shop's name for it, and its focal length in mm. */
    public record Lens(String name, OptionalDouble focalLengthMm) {
        public Lens {
            new Checks()
                    .text("name", name)
                    .above("focalLengthMm", focalLengthMm, 0)
                    .done();
        }
    }

    /**
     * How focus is set here.
     *
     * @param lenses the lenses of this machine
     * @param focusDatum from where gaps are measured, in words: nozzle tip
     * @param makersGapMm the gap that the maker states
     * @param gapTool the shop's tool for it: block, stick
     * @param gapToolStepMm the steps in which that tool comes
     * @param heightMoves what moves for height: bed, head
     * @param heightStepMm its smallest step
     * @param widthErrorMm how surely widths are read here, one standard error
     */
    public record Optics(
            List<Lens> lenses,
            Optional<String> focusDatum,
            OptionalDouble makersGapMm,
            Optional<String> gapTool,
            OptionalDouble gapToolStepMm,
            Optional<String> heightMoves,
            OptionalDouble heightStepMm,
            OptionalDouble widthErrorMm) {
        public Optics {
            lenses = Checks.copy(lenses);
            new Checks()
                    .above("makersGapMm", makersGapMm, 0)
                    .above("gapToolStepMm", gapToolStepMm, 0)
                    .above("heightStepMm", heightStepMm, 0)
                    .above("widthErrorMm", widthErrorMm, 0)
                    .done();
        }
    }

    /** How the source is cooled. */
    public enum Cooling {
        AIR,
        WATER
    }

    /** Whether covers keep the beam in. */
    public enum Enclosure {
        /** covers with an interlock that stops the beam */
        INTERLOCK,
        /** no interlock: the area is kept instead */
        OPEN
    }

    /** Whether a machine has something. */
    public enum Fitted {
        FITTED,
        NONE
    }

    /**
     * What the machine is supplied with; notes in words.
     *
     * @param airAssist whether air is blown along the beam
     * @param deliveryFibre whether the beam reaches the head through a fibre
     */
    public record Services(
            Optional<Cooling> cooling,
            Optional<String> coolingNote,
            Optional<Enclosure> enclosure,
            Optional<String> enclosureNote,
            Optional<String> extraction,
            Optional<String> air,
            Optional<String> mains,
            Optional<Fitted> airAssist,
            Optional<Fitted> deliveryFibre) {

        /** Nothing is known. */
        public static final Services UNKNOWN = new Services(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());

        /** One that says neither whether air is blown nor whether there is a delivery fibre. */
        public Services(
                Optional<Cooling> cooling,
                Optional<String> coolingNote,
                Optional<Enclosure> enclosure,
                Optional<String> enclosureNote,
                Optional<String> extraction,
                Optional<String> air,
                Optional<String> mains) {
            this(
                    cooling,
                    coolingNote,
                    enclosure,
                    enclosureNote,
                    extraction,
                    air,
                    mains,
                    Optional.empty(),
                    Optional.empty());
        }

        Services withNone(Part part) {
            return new Services(
                    part == Part.WATER ? Optional.of(Cooling.AIR) : cooling,
                    coolingNote,
                    part == Part.INTERLOCK ? Optional.of(Enclosure.OPEN) : enclosure,
                    enclosureNote,
                    extraction,
                    air,
                    mains,
                    part == Part.AIR ? Optional.of(Fitted.NONE) : airAssist,
                    part == Part.FIBRE ? Optional.of(Fitted.NONE) : deliveryFibre);
        }
    }

    /** What some machines have and others do not, and what bars of the gate are about. */
    public enum Part {
        WATER,
        INTERLOCK,
        FIBRE,
        AIR
    }

    /** Whether this machine has a part, as far as its plate says. */
    public enum Presence {
        FITTED,
        NONE,
        /** the plate does not say: it is asked, never taken for none */
        UNKNOWN
    }

    /** What sort of controller. */
    public enum ControllerKind {
        /** an open one that prints numbered settings */
        NUMBERED,
        /** its maker's own */
        OWN
    }

    /** The controller and, for one with numbered settings, what the machine needs of it. */
    public record Control(ControllerKind kind, Optional<ControllerNeed> need) {
        public Control {
            new Checks().present("kind", kind).done();
        }
    }

    /** Days between checks, and days out of use that shut the gate. */
    public record Rhythm(
            OptionalInt climateDays, OptionalInt settingsDays, OptionalInt focusDays, OptionalInt daysOutOfUse) {
        public Rhythm {
            new Checks()
                    .atLeast("climateDays", climateDays, 1)
                    .atLeast("settingsDays", settingsDays, 1)
                    .atLeast("focusDays", focusDays, 1)
                    .atLeast("daysOutOfUse", daysOutOfUse, 1)
                    .done();
        }
    }

    public Plate {
        new Checks()
                .text("name", name)
                .that(name == null || name.length() <= 60, "name", "must be 60 characters or fewer")
                .present("family", family)
                .done();
    }

    /** One on which every stop is wanted. */
    public Plate(
            String name,
            Family family,
            Optional<String> number,
            Optional<String> place,
            Optional<Size> size,
            Optional<Bed> bed,
            Optional<Source> source,
            Optional<Optics> optics,
            Optional<Services> services,
            Optional<ClimateLimits> climate,
            Optional<Control> control,
            Optional<Rhythm> rhythm) {
        this(
                name,
                family,
                number,
                place,
                size,
                bed,
                source,
                optics,
                services,
                climate,
                control,
                rhythm,
                Optional.empty());
    }

    /** The stops that somebody declared not wanted on this machine. */
    public List<NotWanted> notWanted() {
        return without.map(Without::stops).orElse(List.of());
    }

    /** Whether somebody declared that this machine goes without a stop. */
    public boolean goesWithout(String stop) {
        return notWanted().stream().anyMatch(declared -> declared.stop().equals(stop));
    }

    /** The same machine, without these stops. */
    public Plate with(List<NotWanted> declared) {
        return new Plate(
                name,
                family,
                number,
                place,
                size,
                bed,
                source,
                optics,
                services,
                climate,
                control,
                rhythm,
                declared.isEmpty() ? Optional.empty() : Optional.of(new Without(declared)));
    }

    /** Whether it has this part; unknown where neither its family nor its plate says. */
    public Presence presence(Part part) {
        return switch (part) {
            case WATER -> presence(services.flatMap(Services::cooling).map(c -> c == Cooling.WATER));
            case INTERLOCK -> presence(services.flatMap(Services::enclosure).map(e -> e == Enclosure.INTERLOCK));
            case FIBRE ->
                family.hasDeliveryFibre()
                        ? presence(services.flatMap(Services::deliveryFibre).map(f -> f == Fitted.FITTED))
                        : Presence.NONE;
            case AIR ->
                family.hasAirAssist()
                        ? presence(services.flatMap(Services::airAssist).map(f -> f == Fitted.FITTED))
                        : Presence.NONE;
        };
    }

    private static Presence presence(Optional<Boolean> said) {
        return said.map(has -> has ? Presence.FITTED : Presence.NONE).orElse(Presence.UNKNOWN);
    }

    /** The same machine, of which is known now that it has no such part. */
    public Plate withNone(Part part) {
        return new Plate(
                name,
                family,
                number,
                place,
                size,
                bed,
                source,
                optics,
                Optional.of(services.orElse(Services.UNKNOWN).withNone(part)),
                climate,
                control,
                rhythm,
                without);
    }

    /** Whether its controller prints numbered settings, or may do so for all that is known. */
    public boolean mayHaveNumberedSettings() {
        return control.map(c -> c.kind() == ControllerKind.NUMBERED)
                .orElse(family == Family.GANTRY_CO2 || family == Family.GANTRY_DIODE);
    }

    /** First wavelength in nm. */
    public OptionalDouble wavelengthNm() {
        return source.stream()
                .flatMap(s -> s.wavelengthsNm().stream())
                .mapToDouble(Double::doubleValue)
                .findFirst();
    }

    /** From where gaps are measured, in words; "focus datum" where the plate does not say. */
    public String datum() {
        return optics.flatMap(Optics::focusDatum).orElse("focus datum");
    }

    public int daysOutOfUse() {
        return rhythm.map(Rhythm::daysOutOfUse)
                .filter(OptionalInt::isPresent)
                .map(OptionalInt::getAsInt)
                .orElse(DAYS_OUT_OF_USE);
    }

    /** One line that tells the machine: {@code gantry CO2 · 90 W glass tube · FH-02}. */
    public String line() {
        StringBuilder line = new StringBuilder(family.words());
        source.ifPresent(s -> {
            String power =
                    s.ratedPowerW().isPresent() ? Amount.exact(s.ratedPowerW().getAsDouble()) + " W" : "";
            String words = (power + " " + s.kind().orElse("")).strip();
            if (!words.isEmpty()) {
                line.append(" · ").append(words);
            }
        });
        number.ifPresent(n -> line.append(" · ").append(n));
        return line.toString();
    }
}
