package zebrawood.core.motion;

import java.math.BigDecimal;
import java.math.RoundingMode;
import zebrawood.core.pattern.Pattern;
import zebrawood.core.pattern.Pattern.Line;
import zebrawood.core.pattern.Pattern.Part;
import zebrawood.core.reading.Limits;
import zebrawood.core.reading.ReadingException;

/**
 * A pattern as motion text, absolute and in millimetres: the laser is off at the start, while the head travels, at
 * every stop, and at the end. A person sends it; the program never does.
 */
public final class MotionText {

    private static final int DECIMALS = 3;

    private MotionText() {}

    /** @throws ReadingException where the pattern would reach beyond the bed */
    public static String of(Pattern pattern, Setting setting) {
        if (!Limits.atMost(setting.startXMm() + pattern.widthMm(), setting.bedXMm())) {
            throw new ReadingException(
                    "startXMm", "the pattern would reach beyond the bed: move it to the left, or make it smaller");
        } else if (!Limits.atMost(setting.startYMm() + pattern.heightMm(), setting.bedYMm())) {
            throw new ReadingException(
                    "startYMm", "the pattern would reach beyond the bed: move it to the front, or make it smaller");
        }
        StringBuilder text = new StringBuilder();
        header(text, pattern, setting);
        text.append("G21\nG90\nM5\n");
        for (Part part : pattern.parts()) {
            remark(text, part.name());
            if (!part.before().isEmpty()) {
                remark(text, part.before() + ", then go on");
                text.append("M5\nM0\n");
            }
            for (Line line : part.lines()) {
                text.append("G0 X").append(x(setting, line.fromXMm()));
                text.append(" Y").append(y(setting, line.fromYMm()));
                text.append("\nM3 S0\nG1 X").append(x(setting, line.toXMm()));
                text.append(" Y").append(y(setting, line.toYMm()));
                text.append(" F").append(number(setting.speedMmMin()));
                text.append(" S").append(number(setting.powerS())).append("\nM5\n");
            }
        }
        return text.append("M5\nM2\n").toString();
    }

    private static void header(StringBuilder text, Pattern pattern, Setting setting) {
        remark(text, pattern.name() + ", " + number(pattern.widthMm()) + " x " + number(pattern.heightMm()) + " mm");
        remark(
                text,
                "Lower left corner at X " + number(setting.startXMm()) + " Y " + number(setting.startYMm())
                        + " of the machine; home it first");
        remark(
                text,
                "Power S " + number(setting.powerS()) + " of " + number(setting.fullPowerS()) + ", speed "
                        + number(setting.speedMmMin()) + " mm a minute");
        remark(text, "Before you send it: known material, extraction on, eyewear on everybody, hands out");
        remark(text, "Stay with it from start to end");
    }

    /** In brackets, and with no bracket in it. */
    private static void remark(StringBuilder text, String words) {
        text.append('(').append(words.replace('(', '[').replace(')', ']')).append(")\n");
    }

    private static String x(Setting setting, double mm) {
        return number(setting.startXMm() + mm);
    }

    private static String y(Setting setting, double mm) {
        return number(setting.startYMm() + mm);
    }

    private static String number(double value) {
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(DECIMALS, RoundingMode.HALF_UP);
        return (rounded.signum() == 0 ? BigDecimal.ZERO : rounded.stripTrailingZeros()).toPlainString();
    }
}
