package zebrawood.desktop.desk;

import java.io.IOException;
import java.io.Reader;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Properties;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.view.Paper;

/** What the window remembers from one sitting to the next, in a plain text file beside the logbook. */
public final class Preferences {

    private final Path file;
    private final Properties values = new Properties();

    private Preferences(Path folder) {
        file = folder.resolve("window.properties");
        if (Files.exists(file)) {
            try (Reader reader = Files.newBufferedReader(file)) {
                values.load(reader);
            } catch (IOException | IllegalArgumentException unreadable) {
                values.clear();
            }
        }
    }

    /** What is remembered in a folder. */
    public static Preferences in(Path folder) {
        return new Preferences(folder);
    }

    UnitChoice units() {
        return new UnitChoice("in".equals(values.getProperty("length")), "F".equals(values.getProperty("temperature")));
    }

    Ground ground() {
        try {
            return Ground.valueOf(values.getProperty("ground", "LIGHT"));
        } catch (IllegalArgumentException unknown) {
            return Ground.LIGHT;
        }
    }

    /** The paper that certificates and prints are on. */
    public Paper paper() {
        return "letter".equals(values.getProperty("paper")) ? Paper.LETTER : Paper.A4;
    }

    public void paper(Paper paper) {
        values.setProperty("paper", paper.name().toLowerCase(Locale.ROOT));
    }

    /** The shop's name, as its head says. */
    public String shop() {
        return values.getProperty("shop", "My shop");
    }

    /** Whether the shop wants every bar of a gate seen by a second person too. */
    public boolean secondPerson() {
        return "asked".equals(values.getProperty("second-person"));
    }

    public void secondPerson(boolean asked) {
        values.setProperty("second-person", asked ? "asked" : "not-asked");
    }

    public OptionalDouble number(String name) {
        try {
            return OptionalDouble.of(Double.parseDouble(values.getProperty(name, "")));
        } catch (NumberFormatException none) {
            return OptionalDouble.empty();
        }
    }

    public void number(String name, double value) {
        values.setProperty(name, String.valueOf(value));
    }

    void units(UnitChoice units) {
        values.setProperty("length", units.length());
        values.setProperty("temperature", units.fahrenheit() ? "F" : "C");
    }

    void ground(Ground ground) {
        values.setProperty("ground", ground.name());
    }

    /** Best effort: a folder that cannot be written to only forgets. */
    public void save() {
        try (Writer writer = Files.newBufferedWriter(file)) {
            values.store(writer, "Zebrawood window");
        } catch (IOException forgotten) {
            System.err.println("The window's place and units could not be kept in " + file + ".");
        }
    }
}
