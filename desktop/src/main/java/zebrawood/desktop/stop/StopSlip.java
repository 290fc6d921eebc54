package zebrawood.desktop.stop;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.route.StopState;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.recording.AttachBox;
import zebrawood.desktop.recording.Recording;
import zebrawood.kit.bench.Bench;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/**
 * The Slip of a stop: what was found, what to do, what it rests on, how it was before, and the button that records.
 *
 * @param <R> readings
 * @param <F> finding
 */
final class StopSlip<R extends Record, F extends Record> {

    private static final DateTimeFormatter DAY_TIME = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

    private final Stop<R, F> stop;
    private final Bench<R, F> bench;
    private final BenchPlace place;
    private final Acts acts;
    private final Recording recording;
    private final AttachBox files;
    private final Slip paper;

    /** What its links do: measure again, put away what is half done, leave the stop out on this machine. */
    record Acts(Runnable again, Runnable putAway, Runnable leaveOut) {}

    StopSlip(Stop<R, F> stop, Bench<R, F> bench, BenchPlace place, Acts acts, Recording recording, AttachBox files) {
        this.stop = stop;
        this.bench = bench;
        this.place = place;
        this.acts = acts;
        this.recording = recording;
        this.files = files;
        paper = new Slip(place.workplace().look());
    }

    Slip paper() {
        return paper;
    }

    /**
     * @param entry that is shown, where one is
     * @param half whether there is something half done that can be put away
     */
    void show(Showing<R, F> now, Optional<Entry> entry, boolean half) {
        List<Node> parts = new ArrayList<>();
        entry.ifPresent(old -> parts.add(Slip.quiet("No. " + old.number() + ", recorded "
                + DAY_TIME.format(old.stamp().local()) + " by " + old.stamp().by())));
        recording
                .correcting()
                .ifPresent(old -> parts.add(Slip.quiet("Replaces no. " + old.number() + " of "
                        + DAY_TIME.format(old.stamp().local()) + ", which stays in the logbook.")));
        if (now.outcome().isPresent()) {
            found(now, now.outcome().get(), entry, half, parts);
        } else {
            missing(now, half, parts);
        }
        bench.otherSchool(now).ifPresent(parts::add);
        if (entry.isEmpty()) {
            parts.add(files);
        }
        if (stop.procedure().card().canBeDeclined() && recording.correcting().isEmpty()) {
            Hyperlink leaveOut = new Hyperlink("Not on this machine");
            leaveOut.setId("leave-out");
            leaveOut.setAccessibleText("this stop is not wanted on this machine");
            leaveOut.setOnAction(event -> acts.leaveOut().run());
            parts.add(leaveOut);
        }
        paper.show(parts);
        paper.bottom(bottom(now, entry).toArray(new Node[0]));
    }

    private void found(Showing<R, F> now, Outcome<F> outcome, Optional<Entry> entry, boolean half, List<Node> parts) {
        UnitChoice units = place.units();
        parts.add(verdict(
                StopState.of(outcome.verdict()), outcome.verdict().word().toUpperCase(Locale.ROOT), half));
        outcome.instructions().stream()
                .findFirst()
                .ifPresent(first -> parts.add(Slip.act(first.action().in(units), hand(first, units))));
        List<String> rest = outcome.instructions().stream()
                .skip(1)
                .map(instruction -> instruction.sentence(units))
                .toList();
        if (!rest.isEmpty()) {
            parts.add(Slip.then(rest));
        }
        parts.addAll(bench.tickets(now));
        parts.add(Slip.evidence(stop.procedure().evidence(outcome.finding()).stream()
                .map(evidence ->
                        new Body.Pair(evidence.label(), evidence.figure().in(units)))
                .toList()));
        LastTimes.strip(stop, place, entry, outcome.finding()).ifPresent(parts::add);
    }

    private void missing(Showing<R, F> now, boolean half, List<Node> parts) {
        if (now.fault().isPresent()) {
            parts.add(verdict(StopState.UNCLEAR, "NOT JUDGED", half));
            parts.add(Slip.act(
                    "The program has a fault here.",
                    Optional.of("These readings cannot be judged, and nothing is recorded. What you typed is "
                            + "kept; a report stands beside the logbook.")));
            return;
        }
        parts.add(verdict(StopState.OPEN, "TO READ", half));
        String wrong = now.problems().isEmpty()
                ? now.filled().others().stream()
                        .findFirst()
                        .map(Words::sentence)
                        .orElse("")
                : "Put right what is marked; everything typed is kept.";
        parts.add(Slip.act(wrong.isEmpty() ? bench.next() : wrong, Optional.empty()));
    }

    /** The verdict, and at its right the way out of what is half done. */
    private Node verdict(StopState shape, String word, boolean half) {
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox row = new HBox(paper.verdict(shape, word), gap);
        row.setAlignment(Pos.CENTER_LEFT);
        if (half) {
            boolean corrects = recording.correcting().isPresent();
            Hyperlink link = new Hyperlink(corrects ? "Leave it" : "Discard draft");
            link.setAccessibleText(corrects ? "leave the old entry as it is" : "discard these half-done readings");
            link.setId("put-away");
            link.setOnAction(event -> acts.putAway().run());
            row.getChildren().add(link);
        }
        row.setUserData("lead");
        return row;
    }

    private static Optional<String> hand(Instruction instruction, UnitChoice units) {
        String hand = instruction.byHand().map(said -> said.in(units)).orElse("");
        String expected = instruction.expected().map(said -> said.in(units)).orElse("");
        String both = (hand + " " + expected).strip();
        return both.isEmpty() ? Optional.empty() : Optional.of(both);
    }

    private List<Node> bottom(Showing<R, F> now, Optional<Entry> entry) {
        List<Node> nodes = new ArrayList<>(recording.asked());
        if (entry.isPresent()) {
            Button again = new Button(bench.againWord());
            again.setId("again");
            again.getStyleClass().setAll("button", "strong");
            again.setMaxWidth(Double.MAX_VALUE);
            again.setOnAction(event -> acts.again().run());
            nodes.add(again);
        } else {
            List<Node> steps = bench.steps(now);
            nodes.addAll(steps);
            Button record = recording.button(
                    bench.recordWord(),
                    now.outcome().isPresent() && bench.notForTheRecord().isEmpty());
            if (!steps.isEmpty()) {
                record.getStyleClass().setAll("button", "outline", "compact");
            }
            nodes.add(record);
        }
        return nodes;
    }

    /** Puts the focus on the button that measures again. */
    void begin() {
        Node again = paper.lookup("#again");
        if (again != null) {
            again.requestFocus();
        }
    }
}
