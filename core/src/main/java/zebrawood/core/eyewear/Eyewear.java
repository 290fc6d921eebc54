package zebrawood.core.eyewear;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
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
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;

/** Estimates which eyewear a beam asks for, and how far from it an eye is in danger without. */
public final class Eyewear implements Procedure<EyewearReadings, EyewearFinding> {

    private static final Card CARD = new Card(
            "eyewear",
            1,
            "Eyewear",
            Card.OnRoute.in(Phase.SERVICES, 70),
            Set.of(Change.SOURCE_CHANGED, Change.MOVED),
            List.of(Hazard.BEAM),
            15,
            365,
            new Help(
                    List.of(
                            "The data sheet of the source: power, pulses, width of the beam, divergence.",
                            "Every pair in the shop, and what is marked on it.",
                            "A tape measure for the room."),
                    List.of(
                            "Type what the data sheet says. A width or divergence at 1/e² is to be divided by 1.414.",
                            "Measure the room, and where the work and the door are.",
                            "Read the marking of each pair and of each window: wavelengths, optical density, for "
                                    + "pulses or not. Look at it against the light: no scratch, no crack, no burn.",
                            "Print the notice and hang it where somebody stands before the door."),
                    "A beam that is not seen burns the eye before it blinks. Eyewear helps only where its marking names "
                            + "this wavelength and enough optical density; the colour of the glass proves nothing.",
                    List.of(
                            "Nobody looks into a beam, with eyewear or without.",
                            "This is an estimate to bring to the laser safety officer; the eyewear's own marking "
                                    + "decides.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<EyewearReadings> readingsType() {
        return EyewearReadings.class;
    }

    @Override
    public Class<EyewearFinding> findingType() {
        return EyewearFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return true;
    }

    @Override
    public List<String> lacks(Plate plate) {
        return plate.wavelengthNm().isPresent() ? List.of() : List.of("source.wavelengthsNm[0]");
    }

    @Override
    public Outcome<EyewearFinding> evaluate(EyewearReadings read) {
        double exposureS = read.usedExposureS();
        double watchS = read.usedWatchS();
        double mpe = mpe(read, exposureS);
        double aperture = new EyeLimits(read.wavelengthNm())
                .apertureMm(exposureS, read.pulse().isPresent());
        double widthM = Math.max(read.beamDiameterMm(), aperture) / 1000;
        double bare = read.averagePowerW() / (Math.PI / 4 * widthM * widthM);
        double density = Math.max(0, Math.log10(bare / mpe));
        double reach = Math.sqrt(4 * read.averagePowerW() / (Math.PI * mpe));
        double nohd = Math.max(0, (reach - read.beamDiameterMm() / 1000) / (read.divergenceMrad() / 1000));
        OptionalDouble beyond = read.lens()
                .map(lens -> OptionalDouble.of(lens.focalLengthMm() / lens.beamAtLensMm() * reach))
                .orElse(OptionalDouble.empty());
        double diffuse = Math.sqrt(read.diffuseReflectance().orElse(1)
                * read.averagePowerW()
                * Math.cos(Math.toRadians(read.viewingAngleDeg().orElse(0)))
                / (Math.PI * mpe(read, watchS)));
        EyewearFinding finding = new EyewearFinding(
                mpe,
                density,
                Math.ceil(density),
                nohd,
                beyond,
                diffuse,
                exposureS,
                watchS,
                read.wavelengthNm(),
                read.averagePowerW(),
                read.pulse().isPresent(),
                read.covers(),
                read.people(),
                read.room().map(Eyewear::door).orElse(OptionalDouble.empty()),
                read.notice(),
                new EyewearFinding.Tolerances());
        return new Outcome<>(finding, Verdict.NOTE, instructions(finding));
    }

    private static double mpe(EyewearReadings read, double seconds) {
        EyeLimits limits = new EyeLimits(read.wavelengthNm());
        return read.pulse()
                .map(pulse -> limits.pulsed(seconds, pulse.seconds(), pulse.repetitionHz()))
                .orElse(limits.steady(seconds));
    }

    private static OptionalDouble door(EyewearReadings.Room room) {
        return room.door().isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(
                        Math.hypot(room.doorXMm() - room.workFromLeftMm(), room.doorYMm() - room.workFromRearMm())
                                / 1000);
    }

    private static List<Instruction> instructions(EyewearFinding finding) {
        List<Instruction> instructions = new ArrayList<>();
        Amount nm = new Amount(Quantity.WAVELENGTH, finding.wavelengthNm(), 0);
        Amount od = Amount.plain(finding.opticalDensityMarked(), 0);
        String pulses = finding.pulsed() ? ", and for pulses" : "";
        instructions.add(Instruction.of(
                        "eyewear",
                        finding.opticalDensityMarked() > 0
                                ? Said.of("Use eyewear that is marked OD {1} or more at {0}" + pulses + ".", nm, od)
                                : Said.of(
                                        "Ask the laser safety officer whether eyewear is needed: by this estimate the eye "
                                                + "bears this beam for {0}.",
                                        new Amount(Quantity.SECONDS, finding.exposureS(), 2).most()))
                .byHand(Said.of(
                        "An estimate: bring this to the laser safety officer. The eyewear's own marking decides, its "
                                + "colour proves nothing; its maker must also say that it withstands {0}. "
                                + people(finding),
                        new Amount(Quantity.POWER, finding.averagePowerW(), finding.averagePowerW() < 10 ? 2 : 0)
                                .least())));
        instructions.add(nobodyWithout(finding));
        if (finding.reachesDoor()) {
            instructions.add(Instruction.of(
                            "door",
                            Said.of(
                                    whenOpen(finding, "See to it that nobody can open the door from outside")
                                            + " while it runs, or hang a curtain that is made for {0} before it.",
                                    nm))
                    .byHand(Said.of(
                            "Whoever opens the door stands {0} from the work, and the reflection is dangerous up to {1}. "
                                    + "From inside the door must always open without a key.",
                            metres(finding.doorM().orElse(0)).most(),
                            metres(finding.diffuseHazardM()).least())));
        }
        return instructions;
    }

    private static String people(EyewearFinding finding) {
        return finding.people().isPresent() && finding.people().getAsInt() > 1
                ? "One pair for each of the " + finding.people().getAsInt() + " people in the room."
                : "One pair for everybody in the room.";
    }

    /** Who is near, and how far the beam reaches; said of dull work, of the lens and of the bare beam. */
    private static Instruction nobodyWithout(EyewearFinding finding) {
        Said reach = Said.of(
                "The reflection from dull work is dangerous up to {0}, the bare beam up to {1}"
                        + (finding.nohdBeyondLensM().isPresent() ? ", beyond the lens up to {2}" : "")
                        + ". Shiny work throws the beam itself. A sign at the door, nothing shiny near the beam.",
                metres(finding.diffuseHazardM()).least(),
                metres(finding.nohdM()).least(),
                metres(finding.nohdBeyondLensM().orElse(0)).least());
        return Instruction.of(
                        "area",
                        Said.of(whenOpen(finding, "Let nobody into the room") + " without this eyewear while it runs."))
                .byHand(reach);
    }

    private static String whenOpen(EyewearFinding finding, String words) {
        return finding.isShut()
                ? "Where a cover must be open: " + words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1)
                : words;
    }

    private static Amount metres(double metres) {
        return new Amount(Quantity.DISTANCE, metres, metres < 10 ? 2 : 0);
    }

    @Override
    public Said keyFigure(EyewearFinding finding) {
        return Said.of("OD {0}", Amount.plain(finding.opticalDensityMarked(), 0));
    }

    @Override
    public List<Evidence> evidence(EyewearFinding finding) {
        List<Evidence> evidence = new ArrayList<>(List.of(
                new Evidence(
                        "optical density",
                        Said.of("{0}", Amount.plain(finding.opticalDensity(), 2).least())),
                new Evidence(
                        "reflection",
                        Said.of("{0}", metres(finding.diffuseHazardM()).least())),
                new Evidence("bare beam", Said.of("{0}", metres(finding.nohdM()).least()))));
        finding.nohdBeyondLensM()
                .ifPresent(m -> evidence.add(
                        new Evidence("beyond the lens", Said.of("{0}", metres(m).least()))));
        evidence.add(new Evidence(
                "eye limit",
                Said.of(
                        "{0} W/m²",
                        Amount.plain(finding.mpeWM2(), finding.mpeWM2() < 10 ? 2 : 0)
                                .most())));
        return evidence;
    }

    @Override
    public Said judgedBy(EyewearFinding finding) {
        return Said.of(
                "nothing, an estimate; {0} in the beam, {1} of watching",
                seconds(finding.exposureS()), seconds(finding.watchS()));
    }

    private static Amount seconds(double seconds) {
        return new Amount(Quantity.SECONDS, seconds, seconds < 1 ? 3 : 0);
    }
}
