package zebrawood.benchmarks;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.animation.AnimationTimer;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Entry;
import zebrawood.core.units.Amount;
import zebrawood.desktop.command.FirstFrame;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.shell.Window;
import zebrawood.json.RecordWriter;
import zebrawood.json.StrictJson;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.Kind;
import zebrawood.kit.view.Nodes;
import zebrawood.logbook.store.TapeFilter;

/**
 * Types into a field of each bench that has one (settings are pasted), a keystroke every few frames, and times the
 * interface thread's work for it (event, evaluation, layout, drawing) and how long it takes until the picture has
 * changed: until the pulse after the one that drew it begins.
 */
public final class KeystrokeWindow {

    private static final int FIRST = 50;
    private static final double WORK_MILLIS = 16;
    private static final double PICTURE_MILLIS = 50;
    private static final int FRAMES_APART = 4;
    private static final double MEMORY_MB = 450;

    private final Window window;
    private final int keys;
    private boolean kept = true;
    private long layoutBegan;
    private double layoutMillis;

    /** Where one types: a name, how to get there, the field, and what is typed again and again. */
    private record Place(String name, Consumer<Window> go, String field, String letters) {}

    private KeystrokeWindow(Window window, int keys) {
        this.window = window;
        this.keys = keys;
    }

    public static void main(String[] arguments) throws InterruptedException {
        FirstFrame.of(Path.of(arguments[0]), window -> {
            Thread.currentThread().setUncaughtExceptionHandler((thread, failure) -> {
                failure.printStackTrace();
                Runtime.getRuntime().halt(2);
            });
            new KeystrokeWindow(window, Integer.parseInt(arguments[1])).run();
        });
    }

    private void run() {
        Scene scene = window.shell().scene();
        scene.addPreLayoutPulseListener(() -> layoutBegan = System.nanoTime());
        scene.addPostLayoutPulseListener(() -> layoutMillis += (System.nanoTime() - layoutBegan) / 1e6);
        List<Place> places = new ArrayList<>();
        Catalogue.stops().forEach(stop -> place(stop).ifPresent(places::add));
        places.add(new Place("Work result", w -> w.shell().work(w.shell().machine("Wren")), "setup.gapMm", "6.8"));
        places.add(new Place("Plate", w -> w.shell().plate(w.shell().machine("Wren")), "bed.xMm", "700"));
        places.add(new Place("Search", w -> w.shell().logbook(TapeFilter.ALL), "search", "beech "));
        next(places.iterator());
    }

    /**
     * The first number of a stop on a machine that has it on record, typed again as it stands there; none where nothing
     * is typed.
     */
    private Optional<Place> place(Stop<?, ?> stop) {
        String id = stop.procedure().card().id();
        Desk desk = window.desk();
        Optional<Field> number = stop.fields().fields().stream()
                .filter(field -> field.kind() instanceof Kind.Number)
                .findFirst();
        return number.flatMap(field -> desk.machines().get().stream()
                .flatMap(machine -> desk.logbook().readings(machine.machineId(), id, 1).stream())
                .findFirst()
                .map(entry -> new Place(
                        stop.procedure().card().title(),
                        w -> w.shell().stop(entry.place().machineId(), id),
                        field.name(),
                        onRecord(entry, field))));
    }

    private static String onRecord(Entry entry, Field field) {
        JsonNode value = StrictJson.read(RecordWriter.text(Stop.measured(entry).readings()))
                .root()
                .at("/" + field.name().replace('.', '/'));
        return value.isNumber() ? Amount.exact(value.doubleValue()) : "14.5";
    }

    private void next(Iterator<Place> left) {
        if (!left.hasNext()) {
            double mb = peakMb();
            kept &= mb < MEMORY_MB;
            System.out.printf(
                    Locale.ROOT, "peak resident memory of the window on the demo, all of this done: %.0f MB%n", mb);
            System.out.flush();
            Runtime.getRuntime().halt(kept ? 0 : 1);
        }
        Place place = left.next();
        place.go().accept(window);
        afterFrames(40, () -> {
            find("again").ifPresent(again -> ((ButtonBase) again).fire());
            afterFrames(20, () -> type(place, () -> next(left)));
        });
    }

    private Optional<Node> find(String id) {
        return Nodes.find(window.shell().scene().getRoot(), id);
    }

    private void type(Place place, Runnable then) {
        TextInputControl field = (TextInputControl)
                find(place.field()).orElseThrow(() -> new IllegalStateException("no field " + place.field()));
        field.requestFocus();
        Timings firstWork = new Timings();
        Timings work = new Timings();
        Timings firstPicture = new Timings();
        Timings picture = new Timings();
        new AnimationTimer() {
            private int typed;
            private int frame;
            private long at;
            private double eventMillis;

            @Override
            public void handle(long now) {
                int step = frame++ % FRAMES_APART;
                if (step == 0) {
                    if (typed == keys) {
                        stop();
                        told(place.name(), firstWork, work, firstPicture, picture);
                        then.run();
                        return;
                    }
                    layoutMillis = 0;
                    at = System.nanoTime();
                    key(field, place.letters(), typed);
                    eventMillis = (System.nanoTime() - at) / 1e6;
                } else if (step == 1) {
                    // the pulse that drew it is over
                    (typed < FIRST ? firstWork : work).add(eventMillis + layoutMillis);
                    (typed < FIRST ? firstPicture : picture).add((System.nanoTime() - at) / 1e6);
                    typed++;
                }
            }
        }.start();
    }

    /** A letter typed; when the word is whole it is taken out again. */
    private static void key(TextInputControl field, String letters, int typed) {
        int at = typed % (letters.length() + 1);
        if (at == letters.length()) {
            field.clear();
        } else {
            String letter = letters.substring(at, at + 1);
            field.end();
            Event.fireEvent(
                    field,
                    new KeyEvent(KeyEvent.KEY_TYPED, letter, letter, KeyCode.UNDEFINED, false, false, false, false));
        }
    }

    private void told(String name, Timings firstWork, Timings work, Timings firstPicture, Timings picture) {
        kept &= work.percentile(95) < WORK_MILLIS && picture.percentile(95) < PICTURE_MILLIS;
        System.out.printf(
                Locale.ROOT,
                "%s: interface thread p95 %.1f ms (first %d: %.1f), to the changed picture p95 %.1f ms (first %d: "
                        + "%.1f)%n",
                name,
                work.percentile(95),
                FIRST,
                firstWork.percentile(95),
                picture.percentile(95),
                FIRST,
                firstPicture.percentile(95));
        System.out.flush();
    }

    private static double peakMb() {
        try {
            Matcher peak =
                    Pattern.compile("VmHWM:\\s+(\\d+) kB").matcher(Files.readString(Path.of("/proc/self/status")));
            return peak.find() ? Double.parseDouble(peak.group(1)) / 1e3 : 0;
        } catch (IOException elsewhere) {
            return 0;
        }
    }

    /** Runs when so many frames were drawn since. */
    private static void afterFrames(int frames, Runnable then) {
        new AnimationTimer() {
            private int left = frames;

            @Override
            public void handle(long now) {
                if (left-- == 0) {
                    stop();
                    then.run();
                }
            }
        }.start();
    }
}
