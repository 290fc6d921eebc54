package zebrawood.desktop.eyewear;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.eyewear.EyewearPair;
import zebrawood.core.eyewear.Marking;
import zebrawood.core.eyewear.Register;
import zebrawood.core.procedure.Hazard;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.page.FramedPage;
import zebrawood.kit.view.Clip;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** Which pair of eyewear is good for which machine, which is not and why, and whether there are enough. */
public final class RegisterPage extends HBox implements FramedPage {

    private final Desk desk;
    private final Navigator navigator;
    private final Optional<String> at;
    private final VBox rows = new VBox();
    private final Slip slip;
    private final Button add = new Button("Add a pair or a window");
    private Register register = Register.of(List.of());
    private Map<String, Entry> entries = Map.of();

    /** @param at the machine one was at last, on whose chain a new pair is recorded */
    public RegisterPage(Desk desk, Navigator navigator, Optional<String> at) {
        this.desk = desk;
        this.navigator = navigator;
        this.at = at;
        slip = new Slip(desk.look());
        add.setId("pair-add");
        add.getStyleClass().setAll("button", "strong");
        add.setMaxWidth(Double.MAX_VALUE);
        add.setOnAction(event -> look(Optional.empty()));
        ScrollPane scroll = new ScrollPane(rows);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox page = new VBox(
                12,
                new VBox(
                        2,
                        Words.label("Which pair for which machine", "head"),
                        Words.label("the marking decides; the colour of the glass proves nothing", "caption")),
                scroll);
        page.setPadding(new Insets(14, 12, 8, 28));
        HBox.setHgrow(page, Priority.ALWAYS);
        HBox.setMargin(slip, new Insets(12, 16, 12, 8));
        slip.bottom(add);
        getChildren().addAll(page, slip);
        load();
    }

    private void load() {
        desk.later(() -> desk.logbook().eyewear(), found -> {
            register = Register.of(found.stream().map(RegisterPage::pair).toList());
            entries = found.stream()
                    .collect(Collectors.toMap(
                            entry -> key(pair(entry).name()), Function.identity(), (older, newer) -> newer));
            show();
        });
    }

    private static EyewearPair pair(Entry entry) {
        return ((Body.EyewearSeen) entry.body()).pair();
    }

    private static String key(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    private void show() {
        List<Needs> needs = desk.machines().get().stream().map(Needs::of).toList();
        Region gap = new Region();
        gap.setMinWidth(PairRow.NAME);
        gap.setMaxWidth(PairRow.NAME);
        HBox heads = new HBox(gap);
        needs.forEach(each -> heads.getChildren().add(head(each)));
        rows.getChildren().setAll(heads);
        if (!register.pairs().isEmpty()) {
            PairRow enough = new PairRow(
                    "For everybody there", List.of(), PairRow.Kind.NOTHING, judged(needs, register::enough));
            rows.getChildren().add(enough.drawing(desk));
        }
        for (EyewearPair pair : register.pairs()) {
            PairRow row = PairRow.of(pair, window(pair), judged(needs, need -> Register.judge(pair, need)));
            rows.getChildren().add(row.pressable(desk, () -> look(Optional.ofNullable(entries.get(key(pair.name()))))));
        }
        showSlip(needs);
    }

    private static List<Register.Judged> judged(List<Needs> needs, Function<Register.Need, Register.Judged> how) {
        return needs.stream().map(Needs::need).map(how).toList();
    }

    private String window(EyewearPair pair) {
        return pair.window()
                .map(id -> "window of "
                        + desk.machine(id)
                                .map(machine -> machine.plate().name())
                                .orElse(id))
                .orElse("");
    }

    private Node head(Needs needs) {
        MachineStatus machine = needs.machine();
        String id = machine.machineId();
        Hyperlink name = new Hyperlink(machine.plate().name());
        name.setId("eyewear-of-" + machine.plate().name());
        name.setOnAction(event -> navigator.stop(id, Needs.STOP));
        Label asks = Words.wrapped(needs.inWords(), "caption");
        VBox box = new VBox(1, name, asks);
        needs.finding().ifPresent(found -> {
            Hyperlink notice = new Hyperlink("notice");
            notice.setId("notice-" + machine.plate().name());
            notice.setAccessibleText("notice for the door of " + machine.plate().name() + ", as PDF");
            notice.setOnAction(event -> NoticeFile.save(desk, machine.plate(), found, getScene()));
            box.getChildren().add(notice);
        });
        box.setMinWidth(PairRow.COLUMN);
        box.setPrefWidth(PairRow.COLUMN);
        asks.setMaxWidth(PairRow.COLUMN - 6);
        box.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(box, Priority.ALWAYS);
        box.setAlignment(Pos.TOP_LEFT);
        return box;
    }

    private void showSlip(List<Needs> needs) {
        List<Node> parts = new ArrayList<>();
        Optional<Needs> lacking = with(needs, Register.Fit.NOT);
        Optional<Needs> asking = with(needs, Register.Fit.ASK);
        if (register.pairs().isEmpty()) {
            parts.add(slip.verdict(StopState.OPEN, "NO EYEWEAR YET"));
            parts.add(Slip.act(
                    "Add the first pair: type what is marked on it.",
                    Optional.of("Every pair in the shop, good or not, and the windows of covers.")));
        } else if (lacking.isPresent()) {
            Needs first = lacking.get();
            int missing = register.missing(first.need());
            parts.add(slip.verdict(StopState.FAILED, "NOT ENOUGH"));
            parts.add(Slip.act(
                    "Get " + missing + (missing == 1 ? " pair" : " pairs") + " for "
                            + first.machine().plate().name() + ": " + first.inWords() + ".",
                    Optional.of("Until then let nobody without a good pair into its room while it runs"
                            + (first.finding().get().isShut() ? " with a cover open." : "."))));
        } else if (asking.isPresent()) {
            Needs first = asking.get();
            parts.add(slip.verdict(StopState.UNCLEAR, "ASK"));
            parts.add(Slip.act(
                    first.finding().isEmpty()
                            ? "Work out the eyewear of "
                                    + first.machine().plate().name() + ": press its name."
                            : "Say at the eyewear stop of "
                                    + first.machine().plate().name() + " how many people may be in its room.",
                    Optional.empty()));
        } else {
            parts.add(slip.verdict(StopState.PASSED, "ENOUGH FOR ALL"));
            parts.add(Slip.act(
                    "Bring this to the laser safety officer.",
                    Optional.of("An estimate: the eyewear's own marking decides.")));
        }
        long bad = register.pairs().stream()
                .filter(pair -> pair.condition() != EyewearPair.Condition.SOUND
                        || pair.marks().isEmpty())
                .count();
        if (bad > 0) {
            parts.add(Slip.quiet((bad == 1 ? "One of them is" : bad + " of them are")
                    + " good for nothing: scratched, cracked, hit, or without a marking. Put them away."));
        }
        slip.show(parts);
    }

    private Optional<Needs> with(List<Needs> needs, Register.Fit fit) {
        return needs.stream()
                .filter(each -> register.enough(each.need()).fit() == fit)
                .findFirst();
    }

    private void look(Optional<Entry> seen) {
        seen.map(entry -> entry.place().machineId())
                .or(() -> at)
                .or(() -> desk.machines().get().stream().findFirst().map(MachineStatus::machineId))
                .ifPresentOrElse(
                        id -> navigator.overlay(PairSheet.look(desk, navigator, id, seen, entry -> {
                            desk.tell("Recorded as no. " + entry.number() + ".");
                            load();
                        })),
                        () -> desk.tell("Add a machine first: eyewear is recorded with it."));
    }

    @Override
    public Node view() {
        return this;
    }

    @Override
    public Place place() {
        return Place.SHOP;
    }

    @Override
    public Heading heading() {
        return new Heading("Eyewear", "every pair and window of the shop", "");
    }

    @Override
    public Foot foot() {
        return new Foot(Hazard.BEAM.caution(), true, Optional.empty());
    }

    @Override
    public void refresh() {
        load();
    }

    /** Puts the table on the clipboard. */
    @Override
    public void copy() {
        List<Needs> needs = desk.machines().get().stream().map(Needs::of).toList();
        StringBuilder text = new StringBuilder("pair\tmarked\tcondition");
        needs.forEach(each -> text.append('\t').append(each.machine().plate().name()));
        text.append('\n');
        for (EyewearPair pair : register.pairs()) {
            text.append(pair.name())
                    .append('\t')
                    .append(Marking.words(pair.marks()))
                    .append('\t')
                    .append(pair.condition().words());
            needs.forEach(each -> {
                Register.Judged judged = Register.judge(pair, each.need());
                text.append('\t')
                        .append(judged.fit() == Register.Fit.GOOD ? "good" : "not good")
                        .append(": ")
                        .append(judged.why());
            });
            text.append('\n');
        }
        Clip.put(text.toString());
        desk.tell("The table is on the clipboard.");
    }

    @Override
    public void begin() {
        Platform.runLater(add::requestFocus);
    }
}
