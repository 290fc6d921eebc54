package zebrawood.core.eyewear;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What an eye bears of a beam, and how far it reaches.
 *
 * @param mpeWM2 the most an eye bears for the exposure, W/m², as an average where there are pulses
 * @param opticalDensity that brings the beam down to it; 0 where it is under it already
 * @param opticalDensityMarked the same rounded up to a whole number, as eyewear is marked
 * @param nohdM how far away the bare beam is dangerous, m
 * @param nohdBeyondLensM the same beyond the lens; absent without one
 * @param diffuseHazardM how far away its reflection from dull work is, m
 * @param exposureS for how long an eye was taken to be in the beam, s
 * @param watchS for how long the reflection was taken to be watched, s
 * @param wavelengthNm nm
 * @param averagePowerW W
 * @param pulsed whether it comes in pulses
 * @param covers whether covers shut it in; absent where nobody said
 * @param people how many may be in the room; absent where nobody said
 * @param doorM how far the door is from the work, m; absent without a room
 * @param notice what stands on the notice besides
 * @param tolerances nothing: it is an estimate, nothing is judged by it
 */
public record EyewearFinding(
        double mpeWM2,
        double opticalDensity,
        double opticalDensityMarked,
        double nohdM,
        OptionalDouble nohdBeyondLensM,
        double diffuseHazardM,
        double exposureS,
        double watchS,
        double wavelengthNm,
        double averagePowerW,
        boolean pulsed,
        Optional<EyewearReadings.Covers> covers,
        OptionalInt people,
        OptionalDouble doorM,
        Optional<EyewearReadings.Notice> notice,
        Tolerances tolerances) {

    /** Nothing is judged. */
    public record Tolerances() {}

    /** Whether the reflection reaches whoever opens the door. */
    public boolean reachesDoor() {
        return doorM.isPresent() && doorM.getAsDouble() <= diffuseHazardM * (1 + 1e-9);
    }

    /** Whether covers shut the beam in, as far as somebody said. */
    public boolean isShut() {
        return covers.filter(each -> each == EyewearReadings.Covers.SHUT).isPresent();
    }
}
