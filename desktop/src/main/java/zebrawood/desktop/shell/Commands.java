package zebrawood.desktop.shell;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.Parent;
import zebrawood.benches.inventory.PartsList;
import zebrawood.core.procedure.Help;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.page.FramedPage;
import zebrawood.desktop.page.Page;
import zebrawood.desktop.safety.ServiceSheet;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Paper;
import zebrawood.kit.view.Printing;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.TapeFilter;

/** What can be done from anywhere, by a key or by its name in the Jump. */
final class Commands {

    private static final Page.Explained GENERAL = new Page.Explained(
            "Zebrawood",
            new Help(
                    List.of("Nothing but the machine in front of you."),
                    List.of(
                            "Open the most urgent line on the Shop page.",
                            "Do what the Slip says in large type, type what you read, and record it.",
                            "Begin a new machine with Add a machine: a name and a family are enough."),
                    "What was measured once is written down once, and can be shown in ten years.",
                    List.of("Zebrawood informs; it does not authorise. Follow the machine's manual and the local "
                            + "codes.")),
            "");

    private final Desk desk;
    private final Shell shell;
    private final WholeLogbook whole;

    Commands(Desk desk, Shell shell) {
        this.desk = desk;
        this.shell = shell;
        whole = new WholeLogbook(desk, shell::overlay, shell::closeOverlay);
    }

    void jump() {
        shell.overlay(new Jump(desk, shell, all()));
    }

    void initials() {
        shell.overlay(new InitialsSheet(desk, shell::closeOverlay));
    }

    private List<Jump.Target> all() {
        List<Jump.Target> commands = new ArrayList<>();
        shell.machineId().flatMap(desk::machine).ifPresent(machine -> {
            String id = machine.machineId();
            Optional.ofNullable(shell.page())
                    .flatMap(FramedPage::printed)
                    .ifPresent(part -> commands.addAll(List.of(
                            new Jump.Target(
                                    "Copy readings and figures",
                                    "Ctrl+C",
                                    () -> shell.page().copy()),
                            new Jump.Target("Copy the drawing", "command", () -> copyDrawing(part)),
                            new Jump.Target("Print this stop", "command", () -> Printing.print(part)))));
            commands.add(
                    new Jump.Target("Certificate of " + machine.plate().name(), "PDF", () -> shell.certificate(id)));
            commands.add(
                    new Jump.Target("Edit the plate of " + machine.plate().name(), "command", () -> shell.plate(id)));
        });
        commands.addAll(List.of(
                new Jump.Target("Add a machine", "command", shell::addMachine),
                new Jump.Target("Shop", "place", shell::shop),
                new Jump.Target("Logbook", "place", () -> shell.logbook(TapeFilter.ALL)),
                new Jump.Target("Light ground", "command", () -> desk.ground().set(Ground.LIGHT)),
                new Jump.Target("Dark ground", "command", () -> desk.ground().set(Ground.DARK)),
                new Jump.Target("Eyewear view", "F9", this::eyewear),
                new Jump.Target("Millimetres or inches", "command", shell.frame()::otherLengths),
                new Jump.Target("Celsius or Fahrenheit", "command", shell.frame()::otherTemperatures),
                new Jump.Target("Something happened", "Ctrl+E", this::event),
                new Jump.Target("Start of work", "Ctrl+B", this::start),
                new Jump.Target("Service firing, covers open", "command", this::service),
                new Jump.Target("A second person at the gate: asked or not", "command", this::secondPerson),
                new Jump.Target("Switch on, switch off", "start-up order", this::switchOn),
                new Jump.Target("Work result", "Ctrl+R", this::work),
                new Jump.Target("What was different?", "Ctrl+D", this::difference),
                new Jump.Target("Plan a visit", "the day", shell::visit),
                new Jump.Target("Eyewear of the shop", "register", shell::eyewear),
                new Jump.Target("Edit the parts list of the inventory", "command", this::partsList),
                new Jump.Target("Open a point", "command", () -> forMachine("On which machine?", shell::point)),
                new Jump.Target("Search the logbook", "Ctrl+F", this::search),
                new Jump.Target("Paper: A4 or letter", "command", this::paper),
                new Jump.Target("Back up now", "command", whole::backUp),
                new Jump.Target("Export the whole logbook", "zip", () -> whole.export(shell.scene())),
                new Jump.Target("Open a bundle", "zip", shell::importBundle),
                new Jump.Target("Look at the demo shop", "command", shell::demo),
                new Jump.Target("Help", "F1", this::help),
                new Jump.Target("Check that the logbook is whole", "command", whole::verify)));
        return commands;
    }

    private void copyDrawing(Parent part) {
        DrawingSurface.findOffered(part)
                .ifPresentOrElse(
                        drawing -> {
                            drawing.copy();
                            desk.tell("The drawing is on the clipboard as a picture.");
                        },
                        () -> desk.tell("There is no drawing here yet."));
    }

    void certificate() {
        shell.machineId().ifPresent(shell::certificate);
    }

    void event() {
        forMachine("On which machine did something happen?", shell::event);
    }

    void work() {
        forMachine("With which machine was work done?", shell::work);
    }

    void start() {
        forMachine("Which machine starts?", shell::start);
    }

    /** Asks for the machine first where none is at hand. */
    private void forMachine(String what, Consumer<String> then) {
        Optional<String> at = shell.machineId();
        if (at.isPresent() && shell.page().place() != FramedPage.Place.SHOP) {
            then.accept(at.get());
        } else if (desk.machines().get().isEmpty()) {
            if (!shell.waits()) {
                desk.tell("Add a machine first.");
            }
        } else if (desk.machines().get().size() == 1) {
            then.accept(desk.machines().get().get(0).machineId());
        } else {
            shell.overlay(new Jump(
                    desk,
                    shell,
                    what,
                    desk.machines().get().stream()
                            .map(machine -> new Jump.Target(
                                    machine.plate().name(),
                                    machine.plate().family().words()
                                            + machine.plate()
                                                    .place()
                                                    .map(place -> ", " + place)
                                                    .orElse(""),
                                    () -> then.accept(machine.machineId())))
                            .toList()));
        }
    }

    /** What was different between the entry that is open, or the newest work result, and the one before it. */
    void difference() {
        Optional.ofNullable(shell.page())
                .flatMap(FramedPage::opened)
                .ifPresentOrElse(
                        entry -> shell.difference(entry, Optional.empty()),
                        () -> forMachine(
                                "Of which machine?",
                                id -> desk.later(
                                        () -> desk.logbook().findNewest(id, "work"),
                                        newest -> newest.ifPresentOrElse(
                                                entry -> shell.difference(entry, Optional.empty()),
                                                () -> desk.tell("No work result stands on record for this machine yet; "
                                                        + "Ctrl+R types one.")))));
    }

    private void switchOn() {
        forMachine("Which machine is switched?", id -> shell.stop(id, "startup-order"));
    }

    private void service() {
        forMachine("On which machine are covers open?", id -> shell.overlay(ServiceSheet.of(desk, shell, id)));
    }

    private void secondPerson() {
        boolean asked = !desk.preferences().secondPerson();
        desk.preferences().secondPerson(asked);
        desk.tell(
                asked
                        ? "Each bar of a gate asks for the initials of a second person from now on."
                        : "One person is enough at a gate from now on.");
    }

    /** Puts the list that ships into the shop's folder, to be changed there; what lies there already stays. */
    private void partsList() {
        desk.later(
                () -> {
                    Path file = desk.logbook().folder().resolve(PartsList.FILE);
                    try {
                        if (!Files.exists(file)) {
                            Files.writeString(file, PartsList.shipped());
                        }
                    } catch (IOException notWritten) {
                        throw new LogbookException(
                                "the parts list cannot be written to " + file + ": the folder is full, or may not be "
                                        + "written to",
                                notWritten);
                    }
                    return file;
                },
                file -> desk.tell("The shop's own parts list is " + file
                        + ". Change it with any editor of text; the next inventory goes by it."));
    }

    private void paper() {
        Paper other = desk.preferences().paper() == Paper.A4 ? Paper.LETTER : Paper.A4;
        desk.preferences().paper(other);
        shell.scene().getRoot().getProperties().put(Paper.class, other);
        desk.tell("Certificates and prints are on " + other.words() + " from now on.");
    }

    void help() {
        Page.Explained explained =
                Optional.ofNullable(shell.page()).flatMap(FramedPage::help).orElse(GENERAL);
        shell.overlay(new HelpSheet(explained.title(), explained.help(), explained.caution(), shell::closeOverlay));
    }

    void eyewear() {
        desk.ground().set(desk.ground().get() == Ground.EYEWEAR ? Ground.LIGHT : Ground.EYEWEAR);
    }

    /** Into the search of the page, where it has one; else into the Logbook's. */
    void search() {
        if (shell.page() != null && shell.page().search()) {
            return;
        }
        shell.logbook(TapeFilter.ALL);
        // the page gives its own first field the focus when it is shown
        Platform.runLater(() -> {
            if (shell.page() != null) {
                shell.page().search();
            }
        });
    }
}
