package zebrawood.core.safety;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.machine.Plate.Part;
import zebrawood.core.machine.Plate.Presence;
import zebrawood.core.units.Amount;

/**
 * The bars before first light, as this machine has them: about water, covers, a delivery fibre and air, unless its
 * plate says that there is none. First what is looked at and made ready, only then what switches something on. No bar
 * asks for the main beam before the last one: stop and interlock are tested on a dry run.
 */
public final class FirstLight {

    /** Its id on the Route. */
    public static final String ID = "first-light";

    private FirstLight() {}

    /** The bars of this machine, in order; the last one is the only one that fires. */
    public static List<Bar> bars(Plate plate) {
        List<Bar> bars = new ArrayList<>();
        bars.add(films(plate.family()));
        bars.add(wiring());
        if (plate.presence(Part.FIBRE) != Presence.NONE) {
            bars.add(fibre().about(Part.FIBRE, plate));
        }
        bars.add(earth());
        if (plate.presence(Part.WATER) != Presence.NONE) {
            bars.add(water().about(Part.WATER, plate));
        }
        bars.add(extraction());
        bars.add(eyewear(plate));
        if (plate.presence(Part.INTERLOCK) == Presence.NONE) {
            bars.add(area());
        }
        bars.add(stop());
        if (plate.presence(Part.INTERLOCK) != Presence.NONE) {
            bars.add(interlock().about(Part.INTERLOCK, plate));
        }
        if (plate.presence(Part.AIR) != Presence.NONE) {
            bars.add(air().about(Part.AIR, plate));
        }
        bars.add(pulse(plate));
        return bars;
    }

    private static Bar films(Family family) {
        String what = family.isGalvo()
                ? "protective films, the lens cap and transport straps"
                : "protective films, caps and transport straps";
        return Bar.look(
                "films",
                family.isGalvo() ? "Films, lens cap and straps off" : "Films, caps and transport straps off",
                "With the mains off, take off " + what,
                "Are they all off: covers, both faces of every window, mirrors, lens, moving parts?",
                "All off",
                "Not all",
                "Leave the mains off and take off the rest, then answer again.");
    }

    private static Bar wiring() {
        return Bar.look(
                        "wiring",
                        "Wiring, plugs and seals looked at",
                        "Look over wiring, plugs and seals with the mains off",
                        "Is every plug seated, every strand under its clamp, no seal torn or wet?",
                        "All sound",
                        "Something is not",
                        "Leave the mains off and have it put right by a licensed person, then look again.")
                .takes(5, "torch and a mirror on a stick");
    }

    private static Bar fibre() {
        return Bar.look(
                        "fibre",
                        "Delivery fibre free and not pinched",
                        "With the mains off, follow the delivery fibre with your hand from source to head",
                        "Is it free everywhere: no bend tighter than its maker allows, nothing pinching or rubbing it?",
                        "It lies free",
                        "It does not",
                        "Do not fire: a damaged fibre burns through. Have its maker look at it.")
                .takes(3);
    }

    private static Bar earth() {
        return Bar.look(
                        "earth",
                        "Earth tested by a licensed person",
                        "Have the protective earth tested by a licensed person",
                        "Did it pass, and is that test still valid today?",
                        "It passed",
                        "It did not",
                        "Do not switch on. A licensed electrician puts the earth right and tests it again.")
                .takes(5, "the electrician's test label")
                .writing(
                        Bar.Form.TEST, "who tested it, when, and until when the test is valid", OptionalDouble.empty());
    }

    private static Bar water() {
        return Bar.look(
                        "water",
                        "Coolant flows, no bubble, no drip",
                        "Start the coolant pump only, high voltage off, and watch it for 15 minutes",
                        "Does it flow back, with no bubble in the tube and no drip anywhere?",
                        "It flows and is dry",
                        "It does not",
                        "Stop the pump. Mains off where water came near it. Find and stop the leak or the bubble first.")
                .takes(3, "a dry cloth under every joint")
                .waits(15);
    }

    private static Bar extraction() {
        return Bar.look(
                        "extraction",
                        "Extraction draws, extinguisher in reach",
                        "Switch the extraction on and fetch the extinguisher",
                        "Does a strip of paper cling to the inlet, and is the extinguisher within reach and in date?",
                        "Both are so",
                        "Not both",
                        "Do not fire. Put the extraction right, or bring an extinguisher that suits the machine.")
                .takes(2, "a strip of paper", "an extinguisher in date");
    }

    private static Bar eyewear(Plate plate) {
        String wavelength = plate.wavelengthNm().isPresent()
                ? wavelength(plate.wavelengthNm().getAsDouble())
                : "this laser's wavelength (it stands on its label)";
        return Bar.look(
                        "eyewear",
                        plate.wavelengthNm().isPresent()
                                ? "Eyewear for " + wavelength + ", one pair each"
                                : "Eyewear for this wavelength, one pair each",
                        "Read the marking of every pair of eyewear: it must name " + wavelength,
                        "Is there one sound pair for everybody in the room, marked for it? Its colour proves nothing.",
                        "One pair each",
                        "Not enough",
                        "Nobody stays in the room without. The laser safety officer says which eyewear fits.")
                .takes(2, "a pair of eyewear each, marked for the wavelength");
    }

    private static Bar area() {
        return Bar.look(
                        "area",
                        "Controlled area set up",
                        "Shut the door or draw the curtain, hang the sign out, and let one person hold the key",
                        "Can nobody walk in, and does everyone inside know who holds the key?",
                        "Controlled area set up",
                        "It is not",
                        "Do not fire. An open machine needs an area that nobody walks into.")
                .takes(3, "the sign", "the key");
    }

    private static Bar stop() {
        return Bar.look(
                        "stop",
                        "Emergency stop pressed and seen to work",
                        "Start a dry run, laser off, and press the emergency stop",
                        "Does everything stop at once, and stay dead until the stop is released?",
                        "I saw it stop",
                        "It did not",
                        "Switch off at the mains and lock it. Nothing is run until the stop works.")
                .of(Bar.Kind.ENERGISES)
                .takes(3);
    }

    private static Bar interlock() {
        return Bar.look(
                        "interlock",
                        "Interlock: every cover seen to stop it",
                        "Laser off: open one cover at a time. Try to start, then open it in a running dry run",
                        "With each cover open by itself: is a start refused, and does the running dry run stop? A dark"
                                + " pilot light proves nothing about the main beam. A machine that its maker lets move"
                                + " with covers open is no fault; then the maker's own proof decides.",
                        "Every cover stops it",
                        "One does not",
                        "Lock the machine off. Nothing fires until every cover stops the beam.")
                .of(Bar.Kind.ENERGISES)
                .takes(4)
                .writing(Bar.Form.COVERS, "every cover by its name, each ticked", OptionalDouble.empty());
    }

    private static Bar air() {
        return Bar.look(
                        "air",
                        "Air comes and goes on its command",
                        "Switch the air on and off from the job software, laser off",
                        "Does air come at the nozzle at once, and stop at once?",
                        "I felt it come and stop",
                        "It did not",
                        "Do not cut. Find hose, valve or command that is at fault: the stop Air assist goes through them.")
                .of(Bar.Kind.ENERGISES)
                .takes(2);
    }

    private static Bar pulse(Plate plate) {
        OptionalDouble rated = plate.source().map(Plate.Source::ratedCurrentMa).orElse(OptionalDouble.empty());
        Bar bar = Bar.look(
                        "pulse",
                        "One pulse at lowest power",
                        "Everyone in eyewear, covers shut: fire one pulse at the lowest power on scrap",
                        "Is there one small mark where it was aimed, and nothing else lit, warm or smoking?",
                        "One clean mark",
                        "Not so",
                        "Switch off. Look for what moved, or where light leaks out, before another pulse.")
                .or("No mark", NO_MARK)
                .of(Bar.Kind.FIRES)
                .takes(3, "a scrap of known material");
        return rated.isEmpty()
                ? bar
                : bar.writing(
                        Bar.Form.CURRENT,
                        "what the current meter showed, in mA; \"no meter\" where there is none",
                        rated);
    }

    private static final String NO_MARK = "Leave the power as it is and look, with the laser off, in this order: is the"
            + " water flowing (its flow switch holds the laser off)? Is every cover shut? Is the laser enabled at panel,"
            + " key and stop? Is masking tape, a cap or a film still in the beam? Then read in the manual at which"
            + " setting this source begins to fire: the lowest power may be under it. Nothing found: call the service.";

    /** {@code 10.6 µm} from 2 µm on, else {@code 355 nm}. */
    public static String wavelength(double wavelengthNm) {
        return wavelengthNm >= 2000
                ? String.format(Locale.ROOT, "%s µm", Amount.exact(wavelengthNm / 1000))
                : String.format(Locale.ROOT, "%s nm", Amount.exact(wavelengthNm));
    }
}
