package zebrawood.core.coolant;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Evidence;
import zebrawood.core.procedure.Hazard;
import zebrawood.core.procedure.Help;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Trait;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.Limits;
import zebrawood.core.site.HumidAir;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Said;

/** How cold the water may be without drawing damp out of the air, and what to set the chiller to. */
public final class CoolantSetpoint implements Procedure<SetpointReadings, SetpointFinding> {

    /** above the dew point: how far a chiller swings and a hygrometer errs */
    private static final double MARGIN_C = 2;
    /** how closely most chillers hold what they are set to */
    private static final double HOLD_C = 0.5;
    /** what only bits make of a tenth of a degree */
    /** K within which a room cannot be held, so that a chiller that follows it cannot either */
    private static final double LEAST_PLAY_C = 0.2;

    private static final double LITTLE = 1e-6;
    /** where most sources are rated; used only where plate and air leave the choice */
    private static final double PREFERRED_C = 20;
    /** as finely as a room is kept */
    private static final double ROOM_C = 1;
    /** below this no dew point is reached by drying */
    private static final double DRIEST_C = -100;

    private static final Card CARD = new Card(
            "coolant-setpoint",
            1,
            "Set-point",
            Card.OnRoute.in(Phase.SERVICES, 50).holdingTheGate(),
            Set.of(Change.MOVED, Change.COOLANT_WORK, Change.SOURCE_CHANGED, Change.FIRED_DRY),
            List.of(Hazard.CONDENSATION),
            2,
            90,
            new Help(
                    List.of(
                            "A hygrometer beside the machine.",
                            "The coldest and the warmest water that the source's maker allows."),
                    List.of(
                            "Read temperature and humidity where the source stands, not where the chiller stands.",
                            "A chiller that cannot be set keeps a difference to the room: type that difference "
                                    + "instead of what is preferred."),
                    "Water that is colder than the dew point draws damp onto the tube and its high voltage end; "
                            + "warmer water costs power"
                            + " and the source's life. Between the two lies a window that moves with the weather.",
                    List.of("After a damp night let the room warm up before the pump runs cold water.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<SetpointReadings> readingsType() {
        return SetpointReadings.class;
    }

    @Override
    public Class<SetpointFinding> findingType() {
        return SetpointFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.presence(Plate.Part.WATER) != Plate.Presence.NONE;
    }

    @Override
    public List<String> lacks(Plate plate) {
        return plate.presence(Plate.Part.WATER) == Plate.Presence.UNKNOWN ? List.of("services.cooling") : List.of();
    }

    @Override
    public OptionalInt recheckDays(Plate plate) {
        return plate.rhythm().map(Plate.Rhythm::climateDays).orElse(OptionalInt.empty());
    }

    @Override
    public Outcome<SetpointFinding> evaluate(SetpointReadings read) {
        double margin = read.marginC().orElse(MARGIN_C);
        double hold = read.holdC().orElse(HOLD_C);
        double dew = HumidAir.dewPointC(read.airTemperatureC(), read.relativeHumidityPct());
        double lowest = Math.max(read.minCoolantC(), dew + margin);
        double highest = read.maxCoolantC();
        boolean open = Limits.atLeast(highest - lowest, 2 * hold);
        OptionalDouble setpoint = OptionalDouble.empty();
        if (open) {
            setpoint = OptionalDouble.of(
                    read.followC().isPresent()
                            ? read.airTemperatureC() + read.followC().getAsDouble()
                            : Math.max(
                                    lowest + hold,
                                    Math.min(highest - hold, read.preferredC().orElse(PREFERRED_C))));
        }
        boolean within = open
                && Limits.atLeast(setpoint.getAsDouble(), lowest + hold)
                && Limits.atMost(setpoint.getAsDouble(), highest - hold);
        OptionalDouble dryTo = OptionalDouble.empty();
        OptionalDouble roomTo = OptionalDouble.empty();
        if (!open) {
            dryTo = Limits.atLeast(highest - read.minCoolantC(), 2 * hold)
                    ? OptionalDouble.of(humidity(highest - 2 * hold - margin, read.airTemperatureC()))
                    : OptionalDouble.empty();
        } else if (!within) {
            boolean warm = setpoint.getAsDouble() > highest - hold;
            double follow = read.followC().getAsDouble();
            double room = warm ? down(highest - hold - follow) : up(lowest + hold - follow);
            roomTo = OptionalDouble.of(room);
            // a room that is cooled keeps its damp: it must be dry enough for that first
            double dewThen = Math.min(room - ROOM_C, room + follow - hold - margin);
            dryTo = warm && dew > dewThen
                    ? OptionalDouble.of(humidity(dewThen, read.airTemperatureC()))
                    : OptionalDouble.empty();
        }
        SetpointFinding finding = new SetpointFinding(
                dew,
                lowest,
                highest,
                setpoint,
                read.airTemperatureC(),
                read.relativeHumidityPct(),
                read.followC(),
                dryTo,
                roomTo,
                new SetpointFinding.Tolerances(margin, read.minCoolantC(), highest, OptionalDouble.of(hold)));
        return new Outcome<>(finding, within ? Verdict.PASS : Verdict.FAIL, instructions(finding, within));
    }

    /** The humidity, %, at which the dew point lies there in air of this temperature. */
    private static double humidity(double dewPointC, double airC) {
        return dewPointC < DRIEST_C
                ? 0
                : Math.min(100, 100 * HumidAir.saturationHPa(dewPointC) / HumidAir.saturationHPa(airC));
    }

    private static List<Instruction> instructions(SetpointFinding finding, boolean within) {
        Amount dew = Amount.celsius(finding.dewPointC(), 1).least();
        if (within) {
            Said between = Said.of(
                    "Between {0} and {1} it is safe today; the dew point is {2}.",
                    Amount.celsius(finding.lowestC(), 1).least(),
                    Amount.celsius(finding.highestC(), 1).most(),
                    dew);
            Said action = finding.followC().isPresent()
                    ? Said.of(
                            "Leave the chiller as it is: the water is at about {0}.",
                            Amount.celsius(finding.setpointC().getAsDouble(), 1))
                    : Said.of("Set the chiller to {0}.", Amount.celsius(set(finding), 1));
            return List.of(Instruction.of("chiller", action).byHand(between));
        }
        if (finding.setpointC().isEmpty()) {
            return List.of(noWindow(finding, dew));
        }
        double play = finding.highestSetC() - finding.lowestSetC();
        if (play < LEAST_PLAY_C) {
            return List.of(
                    Instruction.of("chiller", Said.of("Use a chiller that can be set: this one follows the room."))
                            .byHand(Said.of(
                                    "Between too cold and too warm are only {0}: no room is held as closely as that.",
                                    degrees(play))));
        }
        boolean warm = finding.setpointC().getAsDouble() > finding.highestSetC();
        double over = warm
                ? finding.setpointC().getAsDouble() - finding.highestSetC()
                : finding.lowestSetC() - finding.setpointC().getAsDouble();
        Amount there = Amount.celsius(finding.roomToC().getAsDouble(), 1);
        Amount room = warm ? there.most() : there.least();
        Said action = finding.dryToPct().isPresent()
                ? Said.of("Dry the air to {0} or less, then cool the room to {1}.", dry(finding), room)
                : Said.of((warm ? "Cool" : "Warm") + " the room to {0}.", room);
        return List.of(Instruction.of("room", action)
                .byHand(Said.of(
                        "The chiller follows the room: the water would be at {0}, too " + (warm ? "warm" : "cold")
                                + " by {1}.",
                        Amount.celsius(finding.setpointC().getAsDouble(), 1),
                        degrees(over).least())));
    }

    private static Amount dry(SetpointFinding finding) {
        return Amount.percent(finding.dryToPct().getAsDouble(), 0).most();
    }

    private static Instruction noWindow(SetpointFinding finding, Amount dew) {
        if (finding.dryToPct().isEmpty()) {
            return Instruction.of("chiller", Said.of("Use a chiller that holds its temperature more closely."))
                    .byHand(Said.of(
                            "Between the {0} and the {1} that the maker of the source allows, this one swings by {2} "
                                    + "either way.",
                            Amount.celsius(finding.tolerances().minCoolantC(), 1),
                            Amount.celsius(finding.highestC(), 1),
                            degrees(finding.tolerances().holdC().orElse(0)).least()));
        }
        String then = finding.followC().isEmpty() ? "." : ", then type it again: this chiller follows the room.";
        return Instruction.of("room", Said.of("Dry the air to {0} or less before the pump runs" + then, dry(finding)))
                .byHand(Said.of(
                        "Above the dew point of {0} by {1}, and as the chiller swings, the water would be warmer than the "
                                + "{2} that the maker allows.",
                        dew, degrees(finding.tolerances().marginC()), Amount.celsius(finding.highestC(), 1)));
    }

    /** A difference is no temperature: it has no freezing point to convert. */
    private static Amount degrees(double kelvin) {
        return Amount.celsiusDifference(kelvin, 1);
    }

    /** The set-point as a display takes it, to a tenth, and still in the window; the finding has one. */
    public static double set(SetpointFinding finding) {
        double set = finding.setpointC().getAsDouble();
        double rounded = Math.round(set * 10) / 10.0;
        if (rounded < finding.lowestSetC() - LITTLE) {
            rounded = up(finding.lowestSetC());
        }
        return rounded > finding.highestSetC() + LITTLE ? down(finding.highestSetC()) : rounded;
    }

    private static double up(double celsius) {
        return Math.ceil(celsius * 10 - LITTLE) / 10;
    }

    private static double down(double celsius) {
        return Math.floor(celsius * 10 + LITTLE) / 10;
    }

    @Override
    public Said keyFigure(SetpointFinding finding) {
        return finding.setpointC().isPresent()
                ? Said.of("{0}", Amount.celsius(finding.setpointC().getAsDouble(), 1))
                : Said.of("no safe water");
    }

    @Override
    public List<Evidence> evidence(SetpointFinding finding) {
        return List.of(
                new Evidence(
                        "dew point",
                        Said.of("{0}", Amount.celsius(finding.dewPointC(), 1).least())),
                new Evidence(
                        "lowest safe set-point",
                        Said.of("{0}", Amount.celsius(finding.lowestSetC(), 1).least())),
                new Evidence(
                        "highest",
                        Said.of("{0}", Amount.celsius(finding.highestSetC(), 1).most())),
                new Evidence(
                        "room",
                        Said.of(
                                "{0}, {1}",
                                Amount.celsius(finding.airTemperatureC(), 1),
                                Amount.percent(finding.relativeHumidityPct(), 0))));
    }

    @Override
    public Said judgedBy(SetpointFinding finding) {
        return Said.of(
                "water {0#} to {1}, {2} over the dew point",
                Amount.celsius(finding.tolerances().minCoolantC(), 1),
                Amount.celsius(finding.highestC(), 1),
                degrees(finding.tolerances().marginC()));
    }

    @Override
    public List<Trait> traits(SetpointReadings readings, SetpointFinding finding, Family family) {
        return finding.setpointC().stream()
                .mapToObj(set -> Trait.amount(
                        "water set-point",
                        Said.of("{0}", Amount.celsius(set, 1)),
                        set,
                        2,
                        family == Family.GANTRY_CO2 ? 0.5 : 0.3))
                .toList();
    }
}
