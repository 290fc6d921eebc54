package zebrawood.core.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import zebrawood.core.machine.ClimateLimits;
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
import zebrawood.core.site.ClimateFinding.Remedy;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Said;

/**
 * Judges the air of a room by the machine's limits and says what would bring it within them. Warming and cooling keep
 * the vapour pressure, so they move the relative humidity too.
 */
public final class SiteClimate implements Procedure<ClimateReadings, ClimateFinding> {

    private static final Card CARD = new Card(
            "site-climate",
            1,
            "Climate",
            Card.OnRoute.in(Phase.PLACE, 20).holdingTheGate(),
            Set.of(Change.MOVED),
            List.of(Hazard.CONDENSATION),
            2,
            90,
            new Help(
                    List.of("A hygrometer that was compared with another one this year."),
                    List.of(
                            "Hang it beside the machine, out of sun and draught, at the height of the optics.",
                            "Wait ten minutes; breath and warm hands lift both figures.",
                            "Read the temperature, then the humidity."),
                    "Optics, tubes and power supplies fail first where water settles on them. The dew point says how"
                            + " cold a surface (a cooled tube, a lens) may be before that happens.",
                    List.of("A machine brought in from the cold is opened only when it is as warm as the room.")));

    /** air this damp is about to leave water on what is a little colder than the room */
    private static final double WET_PCT = 90;

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<ClimateReadings> readingsType() {
        return ClimateReadings.class;
    }

    @Override
    public Class<ClimateFinding> findingType() {
        return ClimateFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return true;
    }

    @Override
    public List<String> lacks(Plate plate) {
        return plate.climate().isPresent()
                ? List.of()
                : List.of(
                        "climate.minTemperatureC",
                        "climate.maxTemperatureC",
                        "climate.minHumidityPct",
                        "climate.maxHumidityPct");
    }

    @Override
    public OptionalInt recheckDays(Plate plate) {
        return plate.rhythm().map(Plate.Rhythm::climateDays).orElse(OptionalInt.empty());
    }

    @Override
    public Outcome<ClimateFinding> evaluate(ClimateReadings read) {
        ClimateLimits limits = read.limits();
        double temperature = read.airTemperatureC();
        double humidity = read.relativeHumidityPct();
        boolean temperatureOk = Limits.atLeast(temperature, limits.minTemperatureC())
                && Limits.atMost(temperature, limits.maxTemperatureC());
        boolean humidityOk =
                Limits.atLeast(humidity, limits.leastHumidityPct()) && Limits.atMost(humidity, limits.maxHumidityPct());
        List<Remedy> remedies = temperatureOk && humidityOk ? List.of() : remedies(temperature, humidity, limits);
        ClimateFinding finding = new ClimateFinding(
                HumidAir.dewPointC(temperature, humidity),
                temperatureOk,
                humidityOk,
                temperature,
                humidity,
                HumidAir.moistureGPerKg(temperature, humidity),
                remedies,
                new ClimateFinding.Tolerances(limits));
        return new Outcome<>(finding, remedies.isEmpty() ? Verdict.PASS : Verdict.FAIL, instructions(finding));
    }

    private static List<Remedy> remedies(double temperature, double humidity, ClimateLimits limits) {
        double vapour = HumidAir.vapourHPa(temperature, humidity);
        List<Remedy> remedies = new ArrayList<>();
        double within = clamp(temperature, limits.minTemperatureC(), limits.maxTemperatureC());
        boolean stays = within == temperature;
        double humidityThere = stays ? humidity : HumidAir.humidityPctAt(within, vapour);
        double wanted = clamp(humidityThere, limits.leastHumidityPct(), limits.maxHumidityPct());
        remedies.add(new Remedy(
                stays ? OptionalDouble.empty() : OptionalDouble.of(within),
                humidityThere,
                Math.abs(wanted - humidityThere) <= (stays ? 0 : 1e-9)
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(wanted)));
        byTemperatureAlone(temperature, vapour, limits)
                .filter(other -> remedies.get(0).toHumidityPct().isPresent())
                .ifPresent(target -> remedies.add(new Remedy(
                        OptionalDouble.of(target), HumidAir.humidityPctAt(target, vapour), OptionalDouble.empty())));
        return remedies;
    }

    /** The nearest temperature at which this air, nothing added or taken, is within all limits. */
    private static Optional<Double> byTemperatureAlone(double temperature, double vapourHPa, ClimateLimits limits) {
        double least = Math.max(
                limits.minTemperatureC(),
                limits.maxHumidityPct() == 0
                        ? Double.POSITIVE_INFINITY
                        : HumidAir.saturationTemperatureC(vapourHPa * 100 / limits.maxHumidityPct()));
        double most = Math.min(
                limits.maxTemperatureC(),
                limits.leastHumidityPct() == 0
                        ? Double.POSITIVE_INFINITY
                        : HumidAir.saturationTemperatureC(vapourHPa * 100 / limits.leastHumidityPct()));
        return least <= most ? Optional.of(clamp(temperature, least, most)) : Optional.empty();
    }

    private static double clamp(double value, double least, double most) {
        return Math.max(least, Math.min(most, value));
    }

    private static List<Instruction> instructions(ClimateFinding finding) {
        // what is colder than the dew point gets wet: rounded up, it is still warm enough
        Amount dewPoint = Amount.celsius(finding.dewPointC(), 1).least();
        if (finding.remedies().isEmpty()) {
            return List.of(Instruction.of("room", Said.of("The room suits this machine."))
                    .byHand(Said.of(
                            "Nothing in it may be colder than {0}, the dew point, or water settles on it.", dewPoint)));
        }
        List<Instruction> instructions = new ArrayList<>();
        boolean first = true;
        for (Remedy remedy : finding.remedies()) {
            Said action = said(remedy, finding, first);
            Instruction instruction = Instruction.of("room", action);
            if (first) {
                instruction = instruction.byHand(Said.of(
                        "Keep the machine switched off until then, and read again when the air has settled. The "
                                + "dew point is {0}.",
                        dewPoint));
            }
            instructions.add(instruction);
            first = false;
        }
        return instructions;
    }

    private static Said said(Remedy remedy, ClimateFinding finding, boolean first) {
        if (remedy.toTemperatureC().isPresent() && remedy.humidityTherePct() > WET_PCT) {
            return driedFirst(remedy, finding);
        }
        List<Amount> amounts = new ArrayList<>();
        StringBuilder words = new StringBuilder();
        remedy.toTemperatureC().ifPresent(target -> {
            boolean warm = target > finding.airTemperatureC();
            words.append(warm ? "warm the room to {0}" : "cool the room to {0}");
            amounts.add(Amount.celsius(outward(target, warm, 1), 1));
        });
        remedy.toHumidityPct().ifPresent(target -> {
            boolean dry = target < remedy.humidityTherePct();
            words.append(words.isEmpty() ? "" : ", then ")
                    .append(dry ? "dry the air to " : "moisten the air to ")
                    .append("{" + amounts.size() + "}")
                    .append(dry ? " or less" : " or more")
                    .append(remedy.toTemperatureC().isPresent() ? "" : " at this temperature");
            amounts.add(Amount.percent(outward(target, !dry, 0), 0));
        });
        String sentence = first
                ? words.toString()
                : "or " + words + (remedy.toHumidityPct().isEmpty() ? " and leave the moisture as it is" : "");
        return new Said(Character.toUpperCase(sentence.charAt(0)) + sentence.substring(1) + ".", amounts);
    }

    /** Air that would come near its dew point on the way is dried before the room is cooled. */
    private static Said driedFirst(Remedy remedy, ClimateFinding finding) {
        double target = outward(remedy.toTemperatureC().getAsDouble(), false, 1);
        double vapour = HumidAir.vapourHPa(
                target,
                remedy.toHumidityPct().orElse(finding.tolerances().limits().maxHumidityPct()));
        double humidity = HumidAir.humidityPctAt(finding.airTemperatureC(), vapour);
        return Said.of(
                "Dry the air to {0} or less at this temperature, then cool the room to {1}.",
                Amount.percent(humidity, 0).most(), Amount.celsius(target, 1));
    }

    /** Rounded so that what is said is still enough. */
    private static double outward(double value, boolean up, int decimals) {
        double scale = Math.pow(10, decimals);
        double steps = value * scale;
        return (up ? Math.ceil(steps - 1e-9) : Math.floor(steps + 1e-9)) / scale;
    }

    @Override
    public Said keyFigure(ClimateFinding finding) {
        return Said.of("dew {0}", Amount.celsius(finding.dewPointC(), 1));
    }

    @Override
    public List<Evidence> evidence(ClimateFinding finding) {
        return List.of(
                new Evidence("air", Said.of("{0}", Amount.celsius(finding.airTemperatureC(), 1))),
                new Evidence("relative humidity", Said.of("{0}", Amount.percent(finding.relativeHumidityPct(), 0))),
                new Evidence("dew point", Said.of("{0}", Amount.celsius(finding.dewPointC(), 1))),
                new Evidence("moisture", Said.of("{0} g/kg", Amount.plain(finding.moistureGPerKg(), 1))));
    }

    @Override
    public Said judgedBy(ClimateFinding finding) {
        ClimateLimits limits = finding.tolerances().limits();
        return Said.of(
                "{0#} to {1}, {2#} to {3}",
                Amount.celsius(limits.minTemperatureC(), 0),
                Amount.celsius(limits.maxTemperatureC(), 0),
                Amount.percent(limits.leastHumidityPct(), 0),
                Amount.percent(limits.maxHumidityPct(), 0));
    }

    @Override
    public List<Trait> traits(ClimateReadings readings, ClimateFinding finding, Family family) {
        double warmth = switch (family) {
            case GALVO_UV -> 0.45;
            case GANTRY_CO2 -> 0.35;
            case GANTRY_DIODE -> 0.3;
            case SHEET_FIBRE -> 0.25;
            case GALVO_FIBRE -> 0.15;
        };
        double damp = family == Family.GALVO_UV ? 0.3 : family == Family.GANTRY_CO2 ? 0.2 : 0.1;
        return List.of(
                Trait.amount(
                        "air temperature",
                        Said.of("{0}", Amount.celsius(finding.airTemperatureC(), 1)),
                        finding.airTemperatureC(),
                        4,
                        warmth),
                Trait.amount(
                        "humidity",
                        Said.of("{0}", Amount.percent(finding.relativeHumidityPct(), 0)),
                        finding.relativeHumidityPct(),
                        12,
                        damp));
    }
}
