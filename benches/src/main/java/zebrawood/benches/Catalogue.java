package zebrawood.benches;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.benches.access.AccessBench;
import zebrawood.benches.access.AccessFigure;
import zebrawood.benches.air.AirBench;
import zebrawood.benches.air.AirFigure;
import zebrawood.benches.beam.ClipBench;
import zebrawood.benches.beam.ClipFigure;
import zebrawood.benches.beam.CornersBench;
import zebrawood.benches.beam.CornersFigure;
import zebrawood.benches.beam.ShapeBench;
import zebrawood.benches.beam.ShapeFigure;
import zebrawood.benches.beam.VerticalBench;
import zebrawood.benches.beam.VerticalFigure;
import zebrawood.benches.controller.CapOnRecord;
import zebrawood.benches.controller.PowerFigure;
import zebrawood.benches.controller.SettingsBench;
import zebrawood.benches.coolant.HeatBench;
import zebrawood.benches.coolant.HeatFigure;
import zebrawood.benches.coolant.MixBench;
import zebrawood.benches.coolant.MixFigure;
import zebrawood.benches.coolant.SetpointBench;
import zebrawood.benches.coolant.SetpointFigure;
import zebrawood.benches.evenness.NineBench;
import zebrawood.benches.evenness.NineFigure;
import zebrawood.benches.extraction.ExtractionBench;
import zebrawood.benches.extraction.ExtractionFigure;
import zebrawood.benches.eyewear.EyewearBench;
import zebrawood.benches.eyewear.EyewearFigure;
import zebrawood.benches.focus.AutofocusBench;
import zebrawood.benches.focus.AutofocusFigure;
import zebrawood.benches.focus.LadderBench;
import zebrawood.benches.focus.LadderFigure;
import zebrawood.benches.focus.RampBench;
import zebrawood.benches.focus.RampFigures;
import zebrawood.benches.focus.SweepBench;
import zebrawood.benches.focus.SweepFigure;
import zebrawood.benches.gas.GasBench;
import zebrawood.benches.gas.GasFigure;
import zebrawood.benches.height.ZBench;
import zebrawood.benches.height.ZFigure;
import zebrawood.benches.inventory.InventoryBench;
import zebrawood.benches.inventory.InventoryFigure;
import zebrawood.benches.lens.BelowBench;
import zebrawood.benches.lens.BelowFigure;
import zebrawood.benches.lens.LensBench;
import zebrawood.benches.lens.LensFigure;
import zebrawood.benches.level.BedBench;
import zebrawood.benches.level.BedFigure;
import zebrawood.benches.level.TiltBench;
import zebrawood.benches.level.TiltFigure;
import zebrawood.benches.mains.CircuitBench;
import zebrawood.benches.mains.CircuitFigure;
import zebrawood.benches.mirrors.MirrorsBench;
import zebrawood.benches.mirrors.MirrorsFigure;
import zebrawood.benches.power.BlockBench;
import zebrawood.benches.power.BlockFigure;
import zebrawood.benches.power.CeilingBench;
import zebrawood.benches.power.CeilingFigure;
import zebrawood.benches.power.EnergyBench;
import zebrawood.benches.power.EnergyFigure;
import zebrawood.benches.power.HoursBench;
import zebrawood.benches.power.HoursFigure;
import zebrawood.benches.power.PercentBench;
import zebrawood.benches.power.PercentFigure;
import zebrawood.benches.power.PulseBench;
import zebrawood.benches.power.PulseFigure;
import zebrawood.benches.power.TrendBench;
import zebrawood.benches.power.TrendFigure;
import zebrawood.benches.power.TrendPast;
import zebrawood.benches.site.ClimateBench;
import zebrawood.benches.site.ClimateChart;
import zebrawood.benches.switching.OrderBench;
import zebrawood.benches.switching.OrderFigure;
import zebrawood.core.access.SiteAccess;
import zebrawood.core.air.AirAssist;
import zebrawood.core.beam.BeamClip;
import zebrawood.core.beam.HeadCorners;
import zebrawood.core.beam.HeadVertical;
import zebrawood.core.beam.MarkShape;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.coolant.CoolantHeat;
import zebrawood.core.coolant.CoolantMix;
import zebrawood.core.coolant.CoolantSetpoint;
import zebrawood.core.evenness.BedNine;
import zebrawood.core.extraction.Extraction;
import zebrawood.core.eyewear.Eyewear;
import zebrawood.core.focus.AutofocusCheck;
import zebrawood.core.focus.FocusLadder;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.focus.FocusSweep;
import zebrawood.core.gas.AssistGas;
import zebrawood.core.height.ZPlan;
import zebrawood.core.inventory.Inventory;
import zebrawood.core.lens.BelowSurface;
import zebrawood.core.lens.LensChoice;
import zebrawood.core.level.BedLevel;
import zebrawood.core.level.HeadTilt;
import zebrawood.core.mains.SiteCircuit;
import zebrawood.core.mirrors.MirrorNearFar;
import zebrawood.core.mirrors.MirrorPlan;
import zebrawood.core.mirrors.MirrorResponse;
import zebrawood.core.power.BeamHours;
import zebrawood.core.power.BlockPower;
import zebrawood.core.power.EnergyMatch;
import zebrawood.core.power.PowerLinearity;
import zebrawood.core.power.PowerTrend;
import zebrawood.core.power.PulsePlan;
import zebrawood.core.power.TubeCeiling;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.switching.SwitchingOrder;
import zebrawood.kit.bench.Stop;

/** Everything that can be measured: a line each, in no particular order. */
public final class Catalogue {

    private static final String WATER = "Water";
    private static final List<Stop<?, ?>> STOPS = List.of(
            new Stop<>(new SiteAccess(), AccessBench.FIELDS, AccessBench::new, new AccessFigure()),
            new Stop<>(new SiteClimate(), ClimateBench.FIELDS, ClimateBench::new, new ClimateChart()),
            new Stop<>(new Inventory(), InventoryBench.FIELDS, InventoryBench::new, new InventoryFigure()),
            new Stop<>(new SiteCircuit(), CircuitBench.FIELDS, CircuitBench::new, new CircuitFigure()),
            new Stop<>(new Extraction(), ExtractionBench.FIELDS, ExtractionBench::new, new ExtractionFigure()),
            new Stop<>(new AirAssist(), AirBench.FIELDS, AirBench::new, new AirFigure()),
            new Stop<>(new CoolantMix(), MixBench.FIELDS, MixBench::new, new MixFigure()).partOf(WATER),
            new Stop<>(new CoolantHeat(), HeatBench.FIELDS, HeatBench::new, new HeatFigure()).partOf(WATER),
            new Stop<>(new CoolantSetpoint(), SetpointBench.FIELDS, SetpointBench::new, new SetpointFigure())
                    .partOf(WATER),
            new Stop<>(new AssistGas(), GasBench.FIELDS, GasBench::new, new GasFigure()),
            new Stop<>(new SwitchingOrder(), OrderBench.FIELDS, OrderBench::new, new OrderFigure()),
            new Stop<>(new Eyewear(), EyewearBench.FIELDS, EyewearBench::new, new EyewearFigure()),
            new Stop<>(new ControllerSettings(), SettingsBench.FIELDS, SettingsBench::new, new PowerFigure())
                    .lookingBackOn(CapOnRecord.STOPS),
            new Stop<>(new MarkShape(), ShapeBench.FIELDS, ShapeBench::new, new ShapeFigure()),
            new Stop<>(new MirrorPlan(), MirrorsBench.FIELDS, MirrorsBench::new, new MirrorsFigure()),
            new Stop<>(new HeadCorners(), CornersBench.FIELDS, CornersBench::new, new CornersFigure()),
            new Stop<>(new HeadVertical(), VerticalBench.FIELDS, VerticalBench::new, new VerticalFigure()),
            new Stop<>(new BeamClip(), ClipBench.FIELDS, ClipBench::new, new ClipFigure()),
            new Stop<>(new BedLevel(), BedBench.FIELDS, BedBench::new, new BedFigure()),
            new Stop<>(new LensChoice(), LensBench.FIELDS, LensBench::new, new LensFigure()),
            new Stop<>(new HeadTilt(), TiltBench.FIELDS, TiltBench::new, new TiltFigure()),
            new Stop<>(new FocusLadder(), LadderBench.FIELDS, LadderBench::new, new LadderFigure()),
            new Stop<>(new FocusSweep(), SweepBench.FIELDS, SweepBench::new, new SweepFigure()),
            new Stop<>(new AutofocusCheck(), AutofocusBench.FIELDS, AutofocusBench::new, new AutofocusFigure()),
            new Stop<>(new BedNine(), NineBench.FIELDS, NineBench::new, new NineFigure()),
            new Stop<>(new ZPlan(), ZBench.FIELDS, ZBench::new, new ZFigure()),
            new Stop<>(new BelowSurface(), BelowBench.FIELDS, BelowBench::new, new BelowFigure()),
            new Stop<>(new FocusRamp(), RampBench.FIELDS, RampBench::new, new RampFigures()),
            new Stop<>(new BeamHours(), HoursBench.FIELDS, HoursBench::new, new HoursFigure()),
            new Stop<>(new TubeCeiling(), CeilingBench.FIELDS, CeilingBench::new, new CeilingFigure()),
            new Stop<>(new BlockPower(), BlockBench.FIELDS, BlockBench::new, new BlockFigure()),
            new Stop<>(new PowerLinearity(), PercentBench.FIELDS, PercentBench::new, new PercentFigure())
                    .lookingBackOn(List.of(PercentBench.ID)),
            new Stop<>(new PowerTrend(), TrendBench.FIELDS, TrendBench::new, new TrendFigure())
                    .lookingBackOn(TrendPast.STOPS),
            new Stop<>(new EnergyMatch(), EnergyBench.FIELDS, EnergyBench::new, new EnergyFigure())
                    .lookingBackOn(List.of(PercentBench.ID)),
            new Stop<>(new PulsePlan(), PulseBench.FIELDS, PulseBench::new, new PulseFigure()));

    private Catalogue() {}

    public static List<Stop<?, ?>> stops() {
        return STOPS;
    }

    public static List<Procedure<?, ?>> procedures() {
        return STOPS.stream().<Procedure<?, ?>>map(Stop::procedure).toList();
    }

    /**
     * What {@code solve} answers: every stop's procedure, and what a person can check a plan of the mirrors by, which
     * are no stops of their own.
     */
    public static List<Procedure<?, ?>> solved() {
        List<Procedure<?, ?>> others = List.of(new MirrorNearFar(), new MirrorResponse());
        return Stream.concat(procedures().stream(), others.stream()).toList();
    }

    public static Optional<Stop<?, ?>> findStop(String id) {
        return STOPS.stream()
                .filter(stop -> stop.procedure().card().id().equals(id))
                .findFirst();
    }

    /** A stop's name, also of those that are no procedure. */
    public static String title(String stop) {
        return switch (stop) {
            case "first-light" -> "First light";
            case "plate" -> "Plate";
            case "event" -> "Event";
            case "work" -> "Work result";
            case "point" -> "Open point";
            case "pair" -> "Eyewear pair";
            case "start" -> "Start of work";
            case "service" -> "Service firing";
            default -> findStop(stop).map(s -> s.procedure().card().title()).orElse(stop);
        };
    }
}
