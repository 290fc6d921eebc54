package zebrawood.core.safety;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.Amount;

/**
 * The bars before first light, as this machine has them: about water only where there is water, about a delivery fibre
 * only where there is one, an area to be kept where there is no interlock. No bar asks for the main beam before the
 * last one: stop and interlock are tested on the pilot light or a dry run.
 */
public final class FirstLight {

    /** Its id on the Route. */
    public static final String ID = "first-light";

    private FirstLight() {}

    /** The bars of this machine, in order; the last one is the only one that fires. */
    public static List<Bar> bars(Plate plate) {
        List<Bar> bars = new ArrayList<>();
        bars.add(films(plate.family()));
        bars.add(new Bar(
                "wiring",
                "Wiring, plugs and seals looked at",
                "Look over wiring, plugs and seals with the mains off",
                "Is every plug seated, every strand under its clamp, no seal torn or wet?",
                "All sound",
                "Something is not",
                "Leave the mains off and have it put right by a licensed person, then look again.",
                "",
                false,
                5,
                List.of("torch and a mirror on a stick")));
        bars.add(new Bar(
                "earth",
                "Earth tested by a licensed person",
                "Have the protective earth tested by a licensed person",
                "Did the test pass today, or is its label still valid?",
                "It passed",
                "It did not",
                "Do not switch on. The earth is put right by a licensed electrician, and tested again.",
                "who tested it, and the figure",
                false,
                5,
                List.of("the electrician's test label")));
        if (plate.family().hasDeliveryFibre()) {
            bars.add(new Bar(
                    "fibre",
                    "Delivery fibre free and unpinched",
                    "Follow the delivery fibre with the hand, source off",
                    "Is it nowhere bent tighter than a plate, pinched, or against a moving part?",
                    "It lies free",
                    "It does not",
                    "Do not fire. A hurt fibre burns through: have its maker look at it.",
                    "",
                    false,
                    3,
                    List.of()));
        }
        bars.add(new Bar(
                "stop",
                "Emergency stop pressed and seen to work",
                "Press the emergency stop during a dry run, pilot light on",
                "Does everything stop at once, and stay dead until it is twisted out?",
                "I saw it stop",
                "It did not",
                "Switch off at the mains and lock it. Nothing is run until the stop works.",
                "",
                false,
                3,
                List.of()));
        bars.add(plate.hasInterlock() ? interlock() : area());
        if (plate.isWaterCooled()) {
            bars.add(new Bar(
                    "water",
                    "Coolant flows, no bubble, no drip",
                    "Run the coolant and watch it for fifteen minutes",
                    "Does it flow back, with no bubble in the tube and no drip anywhere?",
                    "It flows and is dry",
                    "It does not",
                    "Stop the pump, mains off where water came near it. Cure the leak or bubble first.",
                    "",
                    false,
                    15,
                    List.of("a dry cloth under every joint")));
        }
        bars.add(eyewear(plate));
        bars.add(new Bar(
                "extraction",
                "Extraction draws, extinguisher in reach",
                "Switch the extraction on and fetch the extinguisher",
                "Does a strip of paper cling to the inlet, and is the extinguisher within reach and in date?",
                "Both are so",
                "Not both",
                "Do not fire. Cure the extraction or bring an extinguisher that suits the machine.",
                "",
                false,
                2,
                List.of("a strip of paper", "an extinguisher in date")));
        if (plate.family().hasAirAssist()) {
            bars.add(new Bar(
                    "air",
                    "Air comes and goes on its command",
                    "Switch the air on and off from the job software, beam off",
                    "Does air come at the nozzle at once, and stop at once?",
                    "I felt it come and stop",
                    "It did not",
                    "Do not cut. Find hose, valve or command that is at fault: the stop Air assist goes through them.",
                    "",
                    false,
                    2,
                    List.of()));
        }
        bars.add(new Bar(
                "pulse",
                "One pulse at lowest power",
                "Everyone in eyewear: fire one pulse at the lowest power on scrap",
                "Is there one small mark where it was aimed, and nothing else lit, warm or smoking?",
                "One clean mark",
                "Not so",
                "Switch off. Look for what moved or leaks light before another pulse.",
                "",
                true,
                3,
                List.of("a scrap of known material")));
        return bars;
    }

    private static Bar films(Family family) {
        String what = family.isGalvo()
                ? "protective films, the lens cap and transport straps"
                : "protective films, caps and transport straps";
        return new Bar(
                "films",
                family.isGalvo() ? "Films, lens cap and straps off" : "Films, caps and transport straps off",
                "Take off " + what,
                "Are they all off: covers, window, mirrors, lens, moving parts?",
                "All off",
                "Not all",
                "Take off the rest. What cannot be reached is done with the mains off.",
                "",
                false,
                5,
                List.of());
    }

    private static Bar interlock() {
        return new Bar(
                "interlock",
                "Interlock opened and seen to work",
                "Open each cover during a dry run, pilot light on",
                "Does the pilot light go dark at once at every cover, each by itself?",
                "I saw it go dark",
                "It did not",
                "Lock the machine off. Nothing fires until every cover stops the beam.",
                "",
                false,
                4,
                List.of());
    }

    private static Bar area() {
        return new Bar(
                "area",
                "The area is kept",
                "Shut the door or draw the curtain, hang the sign out, and let one person hold the key",
                "Can nobody walk in, and does everyone inside know who holds the key?",
                "The area is kept",
                "It is not",
                "Do not fire. An open machine needs an area nobody walks into.",
                "",
                false,
                3,
                List.of("the sign", "the key"));
    }

    private static Bar eyewear(Plate plate) {
        String wavelength = plate.wavelengthNm().isPresent()
                ? wavelength(plate.wavelengthNm().getAsDouble())
                : "this wavelength";
        return new Bar(
                "eyewear",
                "Eyewear for " + wavelength + ", one pair each",
                "Read the marking of every pair of eyewear: it must name " + wavelength,
                "Is there one sound pair for everybody in the room, marked for it? Its colour proves nothing.",
                "One pair each",
                "Not enough",
                "Nobody stays in the room without. The laser safety officer says which eyewear fits.",
                "",
                false,
                2,
                List.of("a pair of eyewear each, marked " + wavelength));
    }

    /** {@code 10.6 µm} from 2 µm on, else {@code 355 nm}. */
    public static String wavelength(double wavelengthNm) {
        return wavelengthNm >= 2000
                ? String.format(Locale.ROOT, "%s µm", Amount.exact(wavelengthNm / 1000))
                : String.format(Locale.ROOT, "%s nm", Amount.exact(wavelengthNm));
    }
}
