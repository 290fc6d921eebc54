package zebrawood.desktop.eyewear;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.entry.Body;
import zebrawood.core.eyewear.EyewearFinding;
import zebrawood.core.eyewear.Register;
import zebrawood.core.machine.Plate;
import zebrawood.core.route.CountedReading;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;

/** What a machine asks of eyewear, as its plate and its newest eyewear reading say. */
record Needs(MachineStatus machine, Optional<EyewearFinding> finding) {

    static final String STOP = "eyewear";

    static Needs of(MachineStatus machine) {
        Optional<EyewearFinding> finding = machine.stops().stream()
                .filter(stop -> stop.card().id().equals(STOP))
                .findFirst()
                // worked out for another source, another room, or too long ago: it is asked anew
                .filter(stop -> stop.state() != StopState.DUE)
                .flatMap(stop -> stop.reading())
                .flatMap(CountedReading::measured)
                .filter(Body.Measured::isRead)
                .map(measured -> (EyewearFinding) measured.finding());
        return new Needs(machine, finding);
    }

    Register.Need need() {
        Plate plate = machine.plate();
        return new Register.Need(
                machine.machineId(),
                plate.name(),
                plate.source().map(Plate.Source::wavelengthsNm).orElse(List.of()),
                finding.map(found -> OptionalDouble.of(found.wavelengthNm())).orElse(OptionalDouble.empty()),
                finding.map(EyewearFinding::opticalDensityMarked).orElse(0.0),
                finding.filter(EyewearFinding::pulsed).isPresent(),
                finding.map(EyewearFinding::people).orElse(OptionalInt.empty()));
    }

    /** {@code OD 5 at 1064 nm, for pulses}; what is not known is said to be so. */
    String inWords() {
        return finding.map(found -> "OD " + number(found.opticalDensityMarked()) + " or more at "
                        + number(found.wavelengthNm()) + " nm" + (found.pulsed() ? ", for pulses" : ""))
                .orElse("not worked out yet");
    }

    static String number(double number) {
        return number == Math.rint(number) ? String.valueOf(Math.round(number)) : String.valueOf(number);
    }
}
