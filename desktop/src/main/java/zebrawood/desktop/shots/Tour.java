package zebrawood.desktop.shots;

import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import zebrawood.core.gantry.Build;
import zebrawood.core.gantry.Gantry;
import zebrawood.core.mirrors.MirrorPlan;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.desktop.certificate.Certificate;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.route.RoutePage;
import zebrawood.desktop.shell.Window;
import zebrawood.desktop.shop.ShopPage;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.view.Nodes;
import zebrawood.logbook.store.TapeFilter;

/** Goes through every main view of the demo shop and keeps a picture of each. */
public final class Tour {

    private static final String[] WIDTHS = {"0.43", "0.33", "0.28", "0.22", "0.22", "0.24", "0.31", "0.37", "0.47"};

    /** which machine is aligned, and before which turns the picture is taken */
    private static final long ALIGNED = 4;

    private static final int TURNS = 3;

    private final Window window;
    private final Desk desk;
    private final Path folder;
    private final Runnable done;
    private final List<Shot> shots = new ArrayList<>();
    private final List<String> failed = new ArrayList<>();

    /** A view: its name, how to get there, and what to do there before the picture. */
    private record Shot(String name, Runnable go, List<Runnable> there) {
        Shot {
            there = List.copyOf(there);
        }
    }

    public Tour(Window window, Desk desk, Path folder, Runnable done) {
        this.window = window;
        this.desk = desk;
        this.folder = folder;
        this.done = done;
        plan();
    }

    private Node root() {
        return window.shell().scene().getRoot();
    }

    private Navigator go() {
        return window.shell();
    }

    private String machine(String name) {
        return desk.logbook().findMachine(name).orElseThrow().id();
    }

    private void plan() {
        shot("shop", () -> go().shop(), () -> {});
        shot("wayin", () -> go().stop(machine("Wren"), "site-access"), this::tightDoor);
        shot("climate-year", () -> go().stop(machine("Wren"), "site-climate"), this::logged);
        shot("extraction", () -> go().stop(machine("Wren"), "exhaust-duct"), this::narrowHose);
        shot("water", () -> go().stop(machine("Wren"), "coolant-heat"), this::bucket);
        shot("inventory", () -> go().stop(machine("Heron"), "inventory"), this::unpacked);
        shot("eyewear", () -> go().stop(machine("Heron"), "eyewear"), () -> {});
        shot("register-eyewear", () -> go().eyewear(), () -> desk.ground().set(Ground.EYEWEAR));
        shot("focus", () -> go().focus(machine("Wren")), () -> desk.ground().set(Ground.LIGHT));
        shot("visit", () -> go().visit(), this::twoMachines);
        shot("gate", () -> go().stop(machine("Dunlin"), "first-light"), () -> {});
        shot("settings-bad", () -> go().stop(machine("Wren"), "controller-settings"), () -> {});
        shot("mirrors", () -> go().stop(machine("Wren"), "mirror-plan"), aligned());
        shot("bed-level", () -> go().stop(machine("Wren"), "bed-level"), this::tilted);
        shot("ramp-good", () -> go().stop(machine("Wren"), "focus-ramp"), this::ramp);
        shot(
                "logbook",
                () -> go().logbook(new TapeFilter(Optional.of(machine("Wren")), Optional.empty(), Optional.empty())),
                () -> {});
        shot("ceiling", () -> go().stop(machine("Wren"), "tube-ceiling"), this::driven);
        shot("work", () -> go().work(machine("Wren")), this::worked);
    }

    private void shot(String name, Runnable go, Runnable... there) {
        shots.add(new Shot(name, go, List.of(there)));
    }

    /** Wren's mirrors, knocked: shot at and turned as the plan says, up to the last turn but one. */
    private Runnable[] aligned() {
        List<Runnable> steps = new ArrayList<>();
        steps.add(() -> {
            press("again");
            choose("looked.optics", "clean");
            choose("looked.bed", "level");
            choose("mounts", "others, or changed");
            press("step");
        });
        Gantry gantry = new Gantry(new SplittableRandom(ALIGNED), Build.USUAL);
        List<PlanReadings.Step> made = new ArrayList<>();
        PlanReadings.Run run = new PlanReadings.Run(120, 620, 120, 820);
        int rows = 0;
        while (true) {
            PlanFinding.Next next = new MirrorPlan()
                    .evaluate(new PlanReadings(run, List.of(), made, OptionalDouble.empty(), OptionalDouble.empty()))
                    .finding()
                    .next();
            if (next.act() != PlanFinding.Act.SHOOT) {
                boolean begins = made.get(made.size() - 1).shot().isPresent();
                rows += begins ? 1 : 0;
                if (rows == TURNS || next.act() != PlanFinding.Act.TURN) {
                    break;
                }
                PlanReadings.Turn first = next.turns().get(0);
                for (PlanReadings.Turn turn : next.turns()) {
                    if (turn.mirror() == first.mirror() && turn.screw() == first.screw()) {
                        gantry.turn(turn.mirror(), turn.screw().ordinal(), turn.turns());
                        made.add(PlanReadings.Step.of(turn));
                    }
                }
                steps.add(() -> press("step"));
                continue;
            }
            int mirror = next.mirror().orElseThrow();
            double gantryMm = next.gantryMm().orElseThrow();
            double[] mark = gantry.shoot(mirror, gantryMm, next.carriageMm().orElse(0));
            double x = Math.rint(mark[0] * 10) / 10;
            double y = Math.rint(mark[1] * 10) / 10;
            made.add(PlanReadings.Step.of(new PlanReadings.Shot(mirror, gantryMm, next.carriageMm(), x, y)));
            steps.add(() -> {
                Nodes.type(root(), "mark-x", String.valueOf(x));
                Nodes.type(root(), "mark-y", String.valueOf(y));
                Nodes.type(root(), "mark-current", "6");
                press("step");
            });
        }
        return steps.toArray(Runnable[]::new);
    }

    /** Two machines, two people, and an electrician in the morning. */
    private void twoMachines() {
        for (String name : List.of("Dunlin", "Bittern")) {
            ((CheckBox) Nodes.find(root(), "visit-" + machine(name)).orElseThrow()).fire();
        }
        press("visit-second");
        Nodes.type(root(), "visit-electrician", "11:15");
        Nodes.type(root(), "visit-besides", "Dunlin: glue the mirror mount, 5 min, wait 30 min");
    }

    /** Half gone through: a cable missing, a rule bent. */
    private void unpacked() {
        press("again");
        for (String name : List.of(
                "Crate and case show no dent, water or broken shock label",
                "Packing is kept until the warranty is over",
                "Nothing rolls about inside",
                "Mains cable")) {
            type("part-" + name, " ");
        }
        type("part-Data cable", "m");
        Nodes.type(root(), "remark-Data cable", "5 m, order no. 4417");
    }

    private void type(String id, String key) {
        Node row = Nodes.find(root(), id).orElseThrow();
        Event.fireEvent(row, new KeyEvent(KeyEvent.KEY_TYPED, key, "", KeyCode.UNDEFINED, false, false, false, false));
    }

    /** A door that is too narrow, and another way beside it. */
    private void tightDoor() {
        press("again");
        Nodes.type(root(), "way[2].a", "790");
        choose("way[3].kind", "other door");
        Nodes.type(root(), "way[3].name", "loading door");
        Nodes.type(root(), "way[3].a", "1400");
        Nodes.type(root(), "way[3].b", "2200");
        choose("way[4].kind", "other corner");
        Nodes.type(root(), "way[4].name", "store");
        Nodes.type(root(), "way[4].a", "1200");
        Nodes.type(root(), "way[4].b", "1350");
        Nodes.type(root(), "right.availableMm", "620");
    }

    private void choose(String id, String words) {
        ComboBox<?> box = (ComboBox<?>) Nodes.find(root(), id).orElseThrow();
        for (int i = 0; i < box.getItems().size(); i++) {
            if (String.valueOf(box.getItems().get(i)).equals(words)) {
                box.getSelectionModel().select(i);
            }
        }
    }

    /** A year of a logger, an hour a line: warm afternoons, damp summer nights. */
    private void logged() {
        StringBuilder log = new StringBuilder("time,temperature °C,humidity %\n");
        LocalDateTime at = desk.local(desk.now()).truncatedTo(ChronoUnit.DAYS).minusDays(365);
        SplittableRandom random = new SplittableRandom(8);
        for (int hour = 0; hour < 365 * 24; hour++) {
            double season = Math.sin(2 * Math.PI * (hour / 24.0 + at.getDayOfYear() - 105) / 365);
            double day = Math.sin(2 * Math.PI * (hour % 24 - 9) / 24.0);
            log.append(at.plusHours(hour))
                    .append(String.format(
                            Locale.ROOT,
                            ",%.1f,%.0f%n",
                            21 + 5.5 * season + 3 * day + random.nextDouble(),
                            49 + 11 * season - 8 * day + 7 * random.nextDouble()));
        }
        try {
            Path file = Files.writeString(Files.createTempFile("room-climate", ".csv"), log);
            window.shell().page().take(file.toFile());
            file.toFile().deleteOnExit();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A hose that is too narrow, beside the run as it was. */
    private void narrowHose() {
        press("again");
        press("compare");
        Nodes.type(root(), "run[1].bore", "63");
    }

    /** A tube that is driven over what it bears. */
    private void driven() {
        press("again");
        Nodes.type(root(), "recheck.asFoundMa", "29.4");
        Nodes.type(root(), "samples[0].commandPct", "100");
        Nodes.type(root(), "samples[0].currentMa", "29.4");
    }

    /** A bucket in the place of the chiller. */
    private void bucket() {
        press("again");
        Nodes.type(root(), "flowLMin", "8.5");
        Nodes.type(root(), "startC", "19");
        Nodes.type(root(), "chillerW", "");
        Nodes.type(root(), "reservoirL", "20");
    }

    /** A ramp being read: the last width is not typed yet. */
    /** A bed whose back right corner lies low. */
    private void tilted() {
        press("again");
        String[] gaps = {"12.1", "12.7", "13.4", "12.6", "12.75"};
        int[] places = {0, 2, 8, 6, 4};
        for (int i = 0; i < places.length; i++) {
            Nodes.type(root(), "gaps[" + places[i] + "].first", gaps[i]);
        }
    }

    private void ramp() {
        press("again");
        Nodes.type(root(), "gapAtStartMm", "11.6");
        Nodes.type(root(), "riseMm", "10.2");
        for (int i = 0; i < WIDTHS.length - 1; i++) {
            Nodes.type(root(), "widths[" + i + "]", WIDTHS[i]);
        }
        Nodes.find(root(), "widths[8]").ifPresent(Node::requestFocus);
    }

    private void worked() {
        Nodes.type(root(), "outcome.word", "clean through");
        Nodes.type(root(), "setup.air", "low");
        press("score-9");
    }

    private void press(String id) {
        ((ButtonBase) Nodes.find(root(), id).orElseThrow(() -> new IllegalStateException("no button " + id))).fire();
    }

    /** Takes all pictures, then ends. */
    public void run() {
        root().setMouseTransparent(true);
        next(shots.iterator());
    }

    /** Runs a step; one that goes wrong ends the tour and is told. */
    private void step(String name, Runnable step) {
        try {
            step.run();
        } catch (RuntimeException e) {
            e.printStackTrace();
            System.err.println("The tour ended at " + name + ": " + e);
            done.run();
        }
    }

    private void next(Iterator<Shot> left) {
        if (!left.hasNext()) {
            certificate();
            failed.forEach(
                    name -> System.err.println("The picture " + name + " could not be saved in " + folder + "."));
            done.run();
            return;
        }
        Shot shot = left.next();
        step(shot.name(), () -> {
            shot.go().run();
            whenStill(shot, () -> there(shot, shot.there().iterator(), left));
        });
    }

    /** What is done there step by step, then the picture, then the next. */
    private void there(Shot shot, Iterator<Runnable> steps, Iterator<Shot> left) {
        if (steps.hasNext()) {
            steps.next().run();
            whenStill(shot, () -> there(shot, steps, left));
            return;
        }
        if (!Picture.save(window.shell().scene(), folder.resolve(shot.name() + ".png"))) {
            failed.add(shot.name());
        }
        next(left);
    }

    private boolean isIdle() {
        return desk.isIdle()
                && !(window.shell().page() instanceof ShopPage shop && !shop.isWhole())
                && !(window.shell().page() instanceof RoutePage route && !route.isJudged());
    }

    private void whenStill(Shot shot, Runnable then) {
        Picture.whenStill(window.shell().scene(), this::isIdle, () -> step(shot.name(), then));
    }

    private void certificate() {
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        try {
            Certificate.Making making = new Certificate.Making(
                    desk.now(),
                    desk.zone(),
                    desk.units().get(),
                    desk.preferences().paper());
            Certificate.write(
                    Certificate.Subject.of(desk.preferences().shop(), desk.logbook(), machine("Wren"), making), pdf);
            try (PDDocument document = Loader.loadPDF(pdf.toByteArray())) {
                PDFRenderer renderer = new PDFRenderer(document);
                renderer.setRenderingHints(new RenderingHints(Map.of(
                        RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE,
                        RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON,
                        RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON,
                        RenderingHints.KEY_RENDERING, RenderingHints.VALUE_RENDER_QUALITY)));
                BufferedImage page = renderer.renderImageWithDPI(0, 96);
                if (!Picture.save(page, folder.resolve("certificate.png"))) {
                    failed.add("certificate");
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
