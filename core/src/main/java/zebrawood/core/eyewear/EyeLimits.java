package zebrawood.core.eyewear;

/**
 * What an eye bears of a small bright source, after IEC 60825-1:2014: the point-source limits for 315 to 11000 nm.
 *
 * @param wavelengthNm nm, 315..11000 without what lies between 1250 and 1400
 */
record EyeLimits(double wavelengthNm) {

    /** after which a longer look at a thermal limit adds nothing, s */
    private static final double LONG_S = 10;
    /** below this a train of pulses is judged pulse by pulse */
    private static final double BLINK_S = 0.25;
    /** pulses below which a train is no worse than each of them */
    private static final double FEW_PULSES = 600;

    private boolean isFrom(double from, double to) {
        return wavelengthNm >= from && wavelengthNm < to;
    }

    /** Whether it gets through to the retina. */
    private boolean isRetinal() {
        return isFrom(400, 1400);
    }

    /** What a single exposure of so many seconds may bring, J/m². */
    double radiantExposure(double seconds) {
        if (wavelengthNm < 400) {
            return seconds < LONG_S ? 5600 * Math.pow(seconds, 0.25) : 1e4 * Math.max(1, seconds / 1000);
        } else if (wavelengthNm < 700) {
            double thermal = retina(seconds, 5e-6, 2e-3, 1);
            return wavelengthNm < 600 && seconds >= LONG_S ? Math.min(thermal, photochemical(seconds)) : thermal;
        } else if (wavelengthNm < 1050) {
            return retina(seconds, 5e-6, 2e-3, Math.pow(10, 0.002 * (wavelengthNm - 700)));
        } else if (wavelengthNm < 1400) {
            return seconds < 1.3e-5
                    ? 2e-2 * c7()
                    : seconds < LONG_S ? 90 * c7() * Math.pow(seconds, 0.75) : 50 * c7() * seconds;
        }
        return cornea(seconds);
    }

    private static double retina(double seconds, double shortS, double least, double c4) {
        return c4 * (seconds < shortS ? least : seconds < LONG_S ? 18 * Math.pow(seconds, 0.75) : 10 * seconds);
    }

    /** Blue light besides, which adds up over minutes. */
    private double photochemical(double seconds) {
        double c3 = wavelengthNm < 450 ? 1 : Math.pow(10, 0.02 * (wavelengthNm - 450));
        return c3 * Math.max(100, seconds);
    }

    private double c7() {
        if (wavelengthNm < 1150) {
            return 1;
        }
        return wavelengthNm < 1200
                ? Math.pow(10, 0.018 * (wavelengthNm - 1150))
                : 8 + Math.pow(10, 0.04 * (wavelengthNm - 1250));
    }

    private double cornea(double seconds) {
        if (seconds >= LONG_S) {
            return 1000 * seconds;
        } else if (isFrom(1500, 1800)) {
            return 1e4;
        }
        double shortS = wavelengthNm < 2600 ? 1e-3 : 1e-7;
        return seconds < shortS ? wavelengthNm < 2600 ? 1000 : 100 : 5600 * Math.pow(seconds, 0.25);
    }

    /** What light that stays on may bring over so many seconds, W/m². */
    double steady(double seconds) {
        return radiantExposure(seconds) / seconds;
    }

    /** What a train of pulses may bring, as its average, W/m². */
    double pulsed(double seconds, double pulseS, double repetitionHz) {
        return Math.min(
                steady(seconds), manyPulses(seconds, pulseS, repetitionHz) * radiantExposure(pulseS) * repetitionHz);
    }

    /** C5: by how much less each of many pulses may bring. */
    private double manyPulses(double seconds, double pulseS, double repetitionHz) {
        double shortS = wavelengthNm < 1050 ? 5e-6 : 1.3e-5;
        double pulses = repetitionHz * Math.min(seconds, LONG_S);
        return isRetinal() && pulseS <= shortS && seconds > BLINK_S && pulses > FEW_PULSES
                ? Math.min(1, Math.max(0.4, 5 * Math.pow(pulses, -0.25)))
                : 1;
    }

    /** Over which opening the light is averaged, mm. */
    double apertureMm(double seconds, boolean pulsed) {
        if (wavelengthNm < 400) {
            return 1;
        } else if (isRetinal()) {
            return 7;
        }
        return pulsed || seconds <= 0.35 ? 1 : seconds < LONG_S ? 1.5 * Math.pow(seconds, 0.375) : 3.5;
    }

    /** For how long a look counts where nobody says: a blink for what is seen, longer for what is not. */
    double usualExposureS() {
        return wavelengthNm < 400 ? 1000 : isFrom(400, 700) ? BLINK_S : LONG_S;
    }
}
