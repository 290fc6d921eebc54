package zebrawood.desktop;

import java.util.List;
import java.util.Optional;
import zebrawood.core.access.SiteAccess;
import zebrawood.core.air.AirAssist;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.coolant.CoolantHeat;
import zebrawood.core.coolant.CoolantMix;
import zebrawood.core.coolant.CoolantSetpoint;
import zebrawood.core.exhaust.ExhaustDuct;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.gas.AssistGas;
import zebrawood.core.mains.SiteCircuit;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.site.SiteClimate;
import zebrawood.desktop.access.AccessBench;
import zebrawood.desktop.access.AccessFigure;
import zebrawood.desktop.air.AirBench;
import zebrawood.desktop.air.AirFigure;
import zebrawood.desktop.bench.Stop;
import zebrawood.desktop.controller.PowerFigure;
import zebrawood.desktop.controller.SettingsBench;
import zebrawood.desktop.coolant.HeatBench;
import zebrawood.desktop.coolant.HeatFigure;
import zebrawood.desktop.coolant.MixBench;
import zebrawood.desktop.coolant.MixFigure;
import zebrawood.desktop.coolant.SetpointBench;
import zebrawood.desktop.coolant.SetpointFigure;
import zebrawood.desktop.exhaust.ExhaustBench;
import zebrawood.desktop.exhaust.ExhaustFigure;
import zebrawood.desktop.focus.RampBench;
import zebrawood.desktop.focus.RampFigures;
import zebrawood.desktop.gas.GasBench;
import zebrawood.desktop.gas.GasFigure;
import zebrawood.desktop.mains.CircuitBench;
import zebrawood.desktop.mains.CircuitFigure;
import zebrawood.desktop.site.ClimateBench;
import zebrawood.desktop.site.ClimateChart;

/** Everything that can be measured: a line each, in no particular order. */
public final class Catalogue {

    private static final String WATER = "Water";
    private static final List<Stop<?, ?>> STOPS = List.of(
            new Stop<>(new SiteAccess(), AccessBench::new, new AccessFigure()),
            new Stop<>(new SiteClimate(), ClimateBench::new, new ClimateChart()),
            new Stop<>(new SiteCircuit(), CircuitBench::new, new CircuitFigure()),
            new Stop<>(new ExhaustDuct(), ExhaustBench::new, new ExhaustFigure()),
            new Stop<>(new AirAssist(), AirBench::new, new AirFigure()),
            new Stop<>(new CoolantMix(), MixBench::new, new MixFigure()).partOf(WATER),
            new Stop<>(new CoolantHeat(), HeatBench::new, new HeatFigure()).partOf(WATER),
            new Stop<>(new CoolantSetpoint(), SetpointBench::new, new SetpointFigure()).partOf(WATER),
            new Stop<>(new AssistGas(), GasBench::new, new GasFigure()),
            new Stop<>(new ControllerSettings(), SettingsBench::new, new PowerFigure()),
            new Stop<>(new FocusRamp(), RampBench::new, new RampFigures()));

    private Catalogue() {}

    public static List<Stop<?, ?>> stops() {
        return STOPS;
    }

    public static List<Procedure<?, ?>> procedures() {
        return STOPS.stream().<Procedure<?, ?>>map(Stop::procedure).toList();
    }

    public static Optional<Stop<?, ?>> findStop(String id) {
        return STOPS.stream().filter(stop -> stop.procedure().card().id().equals(id)).findFirst();
    }

    /** A stop's name, also of those that are no procedure. */
    public static String title(String stop) {
        return switch (stop) {
            case "first-light" -> "First light";
            case "plate" -> "Plate";
            case "event" -> "Event";
            case "work" -> "Work result";
            case "point" -> "Open point";
            default -> findStop(stop).map(s -> s.procedure().card().title()).orElse(stop);
        };
    }
}
