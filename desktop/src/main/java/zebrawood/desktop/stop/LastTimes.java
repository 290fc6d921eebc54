package zebrawood.desktop.stop;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Entry;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Axis;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;

/** The course of a stop's main figure over its last times, against the band about the newest. */
final class LastTimes {

    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMM yyyy", Locale.ENGLISH);
    /** a strip tells a trend with eight */
    private static final int MOST = 8;

    private LastTimes() {}

    static <R extends Record, F extends Record> Optional<Node> strip(
            Stop<R, F> stop, BenchPlace place, Optional<Entry> shown, F finding) {
        Optional<Exhibit.Course> today = stop.exhibit().course(finding);
        List<Entry> before = place.earlier().stream()
                .filter(entry -> shown.map(s -> entry.standsAt() < s.standsAt()).orElse(true))
                .limit(MOST)
                .toList();
        List<Exhibit.Course> course = new ArrayList<>();
        before.forEach(entry ->
                stop.exhibit().course(stop.finding(Stop.measured(entry))).ifPresent(course::add));
        if (today.isEmpty() || course.isEmpty()) {
            return Optional.empty();
        }
        Collections.reverse(course);
        course.add(today.get());
        String since = MONTH.format(before.get(before.size() - 1).stamp().local());
        String until = shown.isPresent() ? "this one" : "now";
        DrawingSurface strip = new DrawingSurface(place.workplace().look());
        strip.show(
                (pen, width, height) -> {
                    double middle = today.get().value();
                    double reach = Math.max(
                            today.get().band() * 1.6,
                            course.stream()
                                            .mapToDouble(point -> Math.abs(point.value() - middle) + point.halfWidth())
                                            .max()
                                            .orElse(1)
                                    * 1.1);
                    // where it was the same every time, all lie on one line
                    reach = reach > 0 ? reach : 1;
                    Axis y = new Axis(middle - reach, middle + reach, height - 20, 2);
                    pen.band(
                            0,
                            y.at(middle + today.get().band()),
                            width,
                            y.length(2 * today.get().band()));
                    for (int i = 0; i < course.size(); i++) {
                        double x = 8 + i * (width - 16) / Math.max(1, course.size() - 1);
                        Exhibit.Course point = course.get(i);
                        boolean last = i == course.size() - 1;
                        Tone tone = last ? Tone.WALNUT : Tone.READING;
                        pen.line(
                                x,
                                y.at(point.value() - point.halfWidth()),
                                x,
                                y.at(point.value() + point.halfWidth()),
                                Stroke.of(tone, 1.2));
                        pen.circle(x, y.at(point.value()), last ? 4 : 3.2, tone);
                    }
                    pen.text(0, height - 4, since, Lettering.CAPTION, Tone.QUIET);
                    pen.text(width, height - 4, until, Lettering.CAPTION, Tone.QUIET, Anchor.END);
                },
                course.size() + " times, from " + since);
        strip.setMinHeight(76);
        strip.setPrefHeight(76);
        return Optional.of(new VBox(4, Words.label("Last times", "caption"), strip));
    }
}
