package zebrawood.core.pattern;

import java.util.List;
import zebrawood.core.reading.Checks;

/**
 * Lines to be burned, in parts that are burned one after the other.
 *
 * @param name in words
 * @param widthMm of the smallest sheet that holds it, from 0
 * @param heightMm likewise
 * @param parts at least one
 * @param labels words on it
 */
public record Pattern(String name, double widthMm, double heightMm, List<Part> parts, List<Label> labels) {

    /** One without words on it. */
    public Pattern(String name, double widthMm, double heightMm, List<Part> parts) {
        this(name, widthMm, heightMm, parts, List.of());
    }

    /**
     * Words on it, which motion text leaves out.
     *
     * @param middleMm from the left to the middle of the words
     * @param footMm from below to the foot of the words
     * @param tallMm how tall a capital letter is
     */
    public record Label(String words, double middleMm, double footMm, double tallMm) {}

    /** A straight line from one place to another, mm from the lower left. */
    public record Line(double fromXMm, double fromYMm, double toXMm, double toYMm) {}

    /**
     * Lines that belong together.
     *
     * @param name of the part: {@code gap 6.5 mm}
     * @param before what a person does before it is burned; empty where nothing
     * @param lines at least one
     */
    public record Part(String name, String before, List<Line> lines) {
        public Part {
            lines = List.copyOf(lines);
        }
    }

    public Pattern {
        parts = Checks.copy(parts);
        labels = Checks.copy(labels);
        new Checks()
                .text("name", name)
                .above("widthMm", widthMm, 0)
                .above("heightMm", heightMm, 0)
                .entries("parts", parts, 1)
                .done();
    }

    /** Every line of it, in the order in which they are burned. */
    public List<Line> lines() {
        return parts.stream().flatMap(part -> part.lines().stream()).toList();
    }
}
