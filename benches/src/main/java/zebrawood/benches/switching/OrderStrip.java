package zebrawood.benches.switching;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.VBox;
import zebrawood.core.switching.OrderReadings.Step;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;
import zebrawood.kit.view.Workplace;

/** Steps as a strip, the one in hand large: the space bar goes on, the left arrow back. */
final class OrderStrip extends VBox {

    private static final double STRIP = 56;
    private static final double DOT = 13;
    private static final Pattern TIME =
            Pattern.compile("(\\d{1,3}) ?(s|sec|seconds?|min|minutes?)\\b.*", Pattern.CASE_INSENSITIVE);

    private final Workplace workplace;
    private final DrawingSurface drawing;
    private final Label act = Words.wrapped("", "strip-act");
    private final Label wait = Words.wrapped("", "bold");
    private final Label seen = Words.wrapped("", "by-hand");
    private final Label otherwise = Words.wrapped("", "quiet");
    private final Label then = Words.wrapped("", "by-hand");
    private final Timeline clock = new Timeline(new KeyFrame(javafx.util.Duration.seconds(1), event -> tellWait()));
    private List<Step> steps = List.of();
    private String title = "";
    private int at;
    private Optional<Instant> until = Optional.empty();

    OrderStrip(Workplace workplace) {
        super(8);
        this.workplace = workplace;
        drawing = new DrawingSurface(workplace.look());
        drawing.setMinHeight(STRIP);
        drawing.setPrefHeight(STRIP);
        act.setId("strip-act");
        wait.setId("strip-wait");
        setId("strip");
        getStyleClass().add("strip");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.TEXT);
        clock.setCycleCount(Animation.INDEFINITE);
        // a clock that nobody sees need not run
        sceneProperty().addListener((value, before, scene) -> {
            if (scene == null) {
                clock.stop();
            }
        });
        getChildren()
                .addAll(
                        Words.label("Space: done, the next step. Left: one back.", "caption"),
                        drawing,
                        act,
                        wait,
                        seen,
                        otherwise,
                        then);
        addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
        addEventHandler(MouseEvent.MOUSE_CLICKED, event -> {
            requestFocus();
            go(at + 1);
        });
    }

    /** Begins with the first step of these, unless they are the same as before. */
    void show(String way, List<Step> shown) {
        if (!way.equals(title) || !shown.equals(steps)) {
            title = way;
            steps = List.copyOf(shown);
            go(0);
        }
    }

    private void pressed(KeyEvent event) {
        switch (event.getCode()) {
            case SPACE, RIGHT -> go(at + 1);
            case LEFT, BACK_SPACE -> go(at - 1);
            case HOME -> go(0);
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void go(int step) {
        at = Math.max(0, Math.min(steps.size(), step));
        clock.stop();
        until = Optional.empty();
        if (steps.isEmpty()) {
            tell("No step is written yet.", "", "", "");
        } else if (at == steps.size()) {
            tell(title + ": done, " + steps.size() + " steps.", "", "", "");
        } else {
            Step now = steps.get(at);
            tell(
                    (at + 1) + "  " + now.what(),
                    now.waitFor().map(words -> "Wait: " + words).orElse(""),
                    now.seen()
                            .map(words -> "Right when: " + words)
                            .orElse("What is seen when it is right is not written."),
                    now.otherwise().map(words -> "In another order: " + words).orElse(""));
            say(then, at + 1 < steps.size() ? "Then: " + steps.get(at + 1).what() : "");
            until = now.waitFor().flatMap(OrderStrip::time).map(workplace.now()::plus);
            until.ifPresent(end -> clock.play());
        }
        drawing.show(figure(steps.size(), at), act.getText());
        setAccessibleText(act.getText() + " " + wait.getText() + " " + seen.getText());
    }

    private void tell(String what, String waiting, String right, String wrong) {
        act.setText(what);
        say(wait, waiting);
        say(seen, right);
        say(otherwise, wrong);
        say(then, "");
    }

    private static void say(Label label, String words) {
        label.setText(words);
        label.setManaged(!words.isEmpty());
    }

    private void tellWait() {
        long left = until.map(end -> Duration.between(workplace.now(), end).toSeconds())
                .orElse(0L);
        String words = steps.get(Math.min(at, steps.size() - 1)).waitFor().orElse("");
        say(
                wait,
                left > 0
                        ? "Wait: " + words + String.format(Locale.ROOT, "  (%d:%02d left)", left / 60, left % 60)
                        : "Wait: " + words + "  (the time is over)");
        if (left <= 0) {
            clock.stop();
        }
    }

    /** How long is to be waited, where it is said as a time. */
    static Optional<Duration> time(String words) {
        Matcher says = TIME.matcher(words.strip());
        if (!says.matches()) {
            return Optional.empty();
        }
        long number = Long.parseLong(says.group(1));
        return Optional.of(
                says.group(2).toLowerCase(Locale.ROOT).startsWith("m")
                        ? Duration.ofMinutes(number)
                        : Duration.ofSeconds(number));
    }

    private static Figure figure(int steps, int at) {
        return (pen, width, height) -> {
            double y = height / 2;
            double apart = steps < 2 ? 0 : Math.min(92, (width - 60) / (steps - 1));
            pen.line(24, y, 24 + apart * Math.max(0, steps - 1), y, Stroke.of(Tone.HAIRLINE, 3));
            for (int i = 0; i < steps; i++) {
                double x = 24 + apart * i;
                boolean now = i == at;
                double radius = now ? DOT + 7 : DOT;
                pen.circle(x, y, radius, i < at ? Tone.PASS : Tone.RAISED);
                pen.stroke(
                        Path.circle(x, y, radius),
                        Stroke.of(now ? Tone.WALNUT : i < at ? Tone.PASS : Tone.QUIET, now ? 3 : 1.5));
                pen.text(
                        x,
                        y + 5,
                        String.valueOf(i + 1),
                        now ? Lettering.TEXT_BOLD : Lettering.TEXT,
                        i < at ? Tone.RAISED : Tone.INK,
                        Anchor.MIDDLE);
            }
        };
    }
}
