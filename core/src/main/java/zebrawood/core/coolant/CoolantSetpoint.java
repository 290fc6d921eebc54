package zebrawood.core.coolant;

import java.util.ArrayList;
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
import zebrawood.core.site.HumidAir;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Said;

/** How cold the water may be without drawing damp out of the air, and what to set the chiller to. */
public final class CoolantSetpoint implements Procedure<SetpointReadings, SetpointFinding> {

    /** above the dew point: how far a chiller swings and a hygrometer errs */
    private static final double MARGIN_C = 2;
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
            Card.OnRoute.in(Phase.SERVICES, 50),
            Set.of(Change.MOVED, Change.COOLANT_WORK, Change.SOURCE_CHANGED),
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
        return plate.isWaterCooled();
    }

    @Override
    public OptionalInt recheckDays(Plate plate) {
        return plate.rhythm().map(Plate.Rhythm::climateDays).orElse(OptionalInt.empty());
    }

    @Override
    public Outcome<SetpointFinding> evaluate(SetpointReadings read) {
        double margin = read.marginC().orElse(MARGIN_C);
        double dew = HumidAir.dewPointC(read.airTemperatureC(), read.relativeHumidityPct());
        double lowest = Math.max(read.minCoolantC(), dew + margin);
        double highest = read.maxCoolantC();
        boolean open = lowest <= highest;
        OptionalDouble setpoint = OptionalDouble.empty();
        if (open) {
            setpoint = OptionalDouble.of(
                    read.followC().isPresent()
                            ? read.airTemperatureC() + read.followC().getAsDouble()
                            : Math.max(
                                    lowest, Math.min(highest, read.preferredC().orElse(PREFERRED_C))));
        }
        boolean within = open && setpoint.getAsDouble() >= lowest && setpoint.getAsDouble() <= highest;
        OptionalDouble dryTo = OptionalDouble.empty();
        OptionalDouble roomTo = OptionalDouble.empty();
        if (!open) {
            dryTo = OptionalDouble.of(humidity(highest - margin, read));
        } else if (!within && highest - lowest < ROOM_C && lowest > read.minCoolantC()) {
            dryTo = OptionalDouble.of(humidity(highest - margin - ROOM_C, read));
        } else if (!within && setpoint.getAsDouble() > highest) {
            roomTo = OptionalDouble.of(highest - read.followC().getAsDouble());
        } else if (!within) {
            roomTo = OptionalDouble.of(lowest - read.followC().getAsDouble());
            dryTo = setpoint.getAsDouble() >= read.minCoolantC()
                    ? OptionalDouble.of(humidity(setpoint.getAsDouble() - margin, read))
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
                new SetpointFinding.Tolerances(margin, read.minCoolantC(), highest));
        return new Outcome<>(finding, within ? Verdict.PASS : Verdict.FAIL, instructions(finding, within));
    }

    /** The humidity, %, at which the dew point lies there in air of this temperature. */
    private static double humidity(double dewPointC, SetpointReadings read) {
        return dewPointC < DRIEST_C
                ? 0
                : Math.min(
                        100, 100 * HumidAir.saturationHPa(dewPointC) / HumidAir.saturationHPa(read.airTemperatureC()));
    }

    private static List<Instruction> instructions(SetpointFinding finding, boolean within) {
        Amount dew = Amount.celsius(finding.dewPointC(), 1);
        if (within) {
            Said between = Said.of(
                    "Between {0} and {1} it is safe today; the dew point is {2}.",
                    Amount.celsius(up(finding.lowestC()), 1), Amount.celsius(finding.highestC(), 1), dew);
            Said action = finding.followC().isPresent()
                    ? Said.of(
                            "Leave the chiller as it is: the water is at about {0}.",
                            Amount.celsius(finding.setpointC().getAsDouble(), 1))
                    : Said.of("Set the chiller to {0}.", Amount.celsius(set(finding), 1));
            return List.of(Instruction.of("chiller", action).byHand(between));
        }
        List<Instruction> instructions = new ArrayList<>();
        if (finding.setpointC().isEmpty()) {
            instructions.add(Instruction.of(
                            "room",
                            Said.of(
                                    "Dry the air to {0} or less before the pump runs.",
                                    Amount.percent(Math.floor(finding.dryToPct().getAsDouble() + 1e-9), 0)))
                    .byHand(Said.of(
                            "Above the dew point of {0} by {1} the water would be warmer than the {2} that the "
                                    + "maker allows.",
                            dew, degrees(finding.tolerances().marginC()), Amount.celsius(finding.highestC(), 1))));
            return instructions;
        }
        if (finding.roomToC().isEmpty()) {
            instructions.add(Instruction.of(
                            "room",
                            Said.of(
                                    "Dry the air to {0} or less.",
                                    Amount.percent(Math.floor(finding.dryToPct().getAsDouble() + 1e-9), 0)))
                    .byHand(Said.of(
                            "The chiller follows the room, and between {0} and {1} no room can be kept so exactly.",
                            Amount.celsius(finding.lowestC(), 1), Amount.celsius(finding.highestC(), 1))));
            return instructions;
        }
        boolean warm = finding.setpointC().getAsDouble() > finding.highestC();
        double over = warm
                ? finding.setpointC().getAsDouble() - finding.highestC()
                : finding.lowestC() - finding.setpointC().getAsDouble();
        double room = finding.roomToC().getAsDouble();
        instructions.add(Instruction.of(
                        "room",
                        Said.of(
                                (warm ? "Cool" : "Warm") + " the room to {0}.",
                                Amount.celsius(warm ? Math.floor(room * 10 + 1e-6) / 10 : up(room), 1)))
                .byHand(Said.of(
                        "The chiller follows the room: the water would be at {0}, too " + (warm ? "warm" : "cold")
                                + " by {1}.",
                        Amount.celsius(finding.setpointC().getAsDouble(), 1),
                        degrees(over))));
        finding.dryToPct()
                .ifPresent(dry -> instructions.add(Instruction.of(
                        "room", Said.of("Or dry the air to {0} or less.", Amount.percent(Math.floor(dry + 1e-9), 0)))));
        return instructions;
    }

    /** A difference is no temperature: it has no freezing point to convert. */
    private static Amount degrees(double kelvin) {
        return Amount.celsiusDifference(kelvin, 1);
    }

    /** The set-point as a display takes it, to a tenth, and still in the window; the finding has one. */
    public static double set(SetpointFinding finding) {
        double set = finding.setpointC().getAsDouble();
        double rounded = Math.round(set * 10) / 10.0;
        return rounded < finding.lowestC() ? Math.min(up(set), finding.highestC()) : rounded;
    }

    private static double up(double celsius) {
        return Math.ceil(celsius * 10 - 1e-6) / 10;
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
                new Evidence("dew point", Said.of("{0}", Amount.celsius(finding.dewPointC(), 1))),
                new Evidence("coldest today", Said.of("{0}", Amount.celsius(finding.lowestC(), 1))),
                new Evidence("warmest", Said.of("{0}", Amount.celsius(finding.highestC(), 1))),
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
