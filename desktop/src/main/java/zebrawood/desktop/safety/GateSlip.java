package zebrawood.desktop.safety;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.route.Gate;
import zebrawood.core.route.StopState;
import zebrawood.core.safety.Bar;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** What the Slip says beside the bars: open, shut and why, or with covers open and for how long. */
final class GateSlip {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private final Desk desk;
    private final BarWaits waits;
    private final Slip slip;
    private final Button begin = new Button("Work with covers open ...");

    /** @param service begins work with covers open */
    GateSlip(Desk desk, BarWaits waits, Runnable service) {
        this.desk = desk;
        this.waits = waits;
        slip = new Slip(desk.look());
        begin.setId("service");
        begin.getStyleClass().setAll("button", "outline");
        begin.setWrapText(true);
        begin.setOnAction(event -> service.run());
    }

    Slip view() {
        return slip;
    }

    /** Shows how the gate stands. */
    void show(Gate gate) {
        List<Node> parts = new ArrayList<>();
        if (gate.service().isPresent()) {
            service(gate, gate.service().get(), parts);
        } else if (gate.isOpen()) {
            parts.add(slip.verdict(StopState.PASSED, "OPEN"));
            parts.add(Slip.act(
                    "First light is cleared.",
                    Optional.of(
                            "What fires is open on the Route. One person stays with the machine whenever it runs.")));
            parts.add(begin);
        } else {
            long left = gate.bars().size() - gate.lifted();
            int hands = gate.minutesOfHands();
            int minutes = Math.max(hands, waits.minutesOfWaiting(gate));
            parts.add(slip.verdict(
                    StopState.SHUT, gate.stage() == Bar.Stage.POWERED && gate.isBegun() ? "CANNOT FIRE" : "SHUT"));
            parts.add(Slip.act(
                    left == 0
                            ? "Cure first what failed: " + gate.heldInWords() + "."
                            : capital(count((int) left)) + (left == 1 ? " bar" : " bars") + " to go, about " + minutes
                                    + " minutes.",
                    gate.inHand()
                            .filter(Gate.Line::failed)
                            .map(GateSlip::then)
                            .or(() -> Optional.of(
                                    gate.heldBy().isEmpty()
                                            ? "Nothing that fires is open before the last bar is lifted."
                                            : "Nothing that fires is open while " + gate.heldInWords()
                                                    + " stands as failed, whatever bars are lifted."))));
            parts.add(Slip.evidence(List.of(
                    new Body.Pair("lifted", gate.lifted() + " of " + gate.bars().size()),
                    new Body.Pair("hands", hands + " min"),
                    new Body.Pair("waiting", waits.minutesOfWaiting(gate) + " min"),
                    new Body.Pair(
                            "earliest first pulse",
                            DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH)
                                    .format(desk.local(desk.now()).plusMinutes(minutes))))));
            parts.add(needed(gate));
        }
        history(gate).ifPresent(words -> parts.add(Slip.quiet(words)));
        slip.show(parts);
        slip.bottom();
    }

    private void service(Gate gate, Gate.Service service, List<Node> parts) {
        String who = service.what().who();
        parts.add(slip.verdict(StopState.DUE, service.running() ? "COVERS OPEN" : "LEFT OPEN"));
        if (service.running()) {
            CountDown left = new CountDown(desk, service.until(), "");
            left.getStyleClass().add("reading-now");
            left.setId("service-left");
            parts.add(left);
            parts.add(Slip.act(
                    "Service firing by " + who + ".",
                    Optional.of(
                            "Only mirrors and marks are open, at lowest power. Done: shut every cover, then lift the"
                                    + " bars that stand.")));
        } else {
            parts.add(Slip.act(
                    "Nothing fires: shut every cover, then lift the bars that stand.",
                    Optional.of(
                            gate.inHand().filter(Gate.Line::failed).isPresent()
                                    ? gate.inHand().map(GateSlip::then).orElse("")
                                    : "Service firing by " + who + " was not ended by testing covers and interlock.")));
        }
        parts.add(Slip.evidence(List.of(
                new Body.Pair("open", String.join(", ", service.what().open())),
                new Body.Pair("keeps others out", service.what().keeps()),
                new Body.Pair(
                        "until",
                        DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH).format(desk.local(service.until()))))));
    }

    private static Node needed(Gate gate) {
        VBox box = new VBox(6, Words.label("Needed at the machine", "bold"));
        gate.bars().stream()
                .filter(line -> !line.lifted())
                .flatMap(line -> line.bar().needed().stream())
                .forEach(thing -> box.getChildren().add(Words.wrapped(thing)));
        return box;
    }

    private Optional<String> history(Gate gate) {
        String opened = gate.openedBy()
                .map(entry -> "Last opened " + DAY.format(entry.stamp().local()) + " by "
                        + entry.stamp().by() + ".")
                .orElse("");
        String shut = gate.shutBy()
                .map(why -> " Shut on " + DAY.format(desk.local(gate.shutAt().orElseThrow())) + ": " + why + ".")
                .orElse("");
        String both = (opened + shut).strip();
        return both.isEmpty() ? Optional.empty() : Optional.of(both);
    }

    /** What to do after the answer that stands there. */
    static String then(Gate.Line line) {
        return line.answer()
                .map(entry -> line.bar().then(((Body.GateLine) entry.body()).remark()))
                .orElse("");
    }

    static String count(int number) {
        String[] words = {
            "no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve"
        };
        return number < words.length ? words[number] : String.valueOf(number);
    }

    static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
