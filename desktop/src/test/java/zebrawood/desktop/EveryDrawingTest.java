package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.json.Binder;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.SvgPen;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Look;
import zebrawood.kit.theme.Tone;
import zebrawood.logbook.store.Logbook;
import zebrawood.testsupport.Drawn;

/** Every drawing of everything that the demo has on record, at the sizes and on the grounds on which it is shown. */
class EveryDrawingTest {

    /** the bench of a window of 1024 px */
    private static final double LEAST_WIDTH = 432;

    private static final double[][] SIZES = {{688, 300}, {640, 420}, {500, 320}};
    private static final Pattern COLOUR = Pattern.compile("(?:fill|stroke)=\"(#[0-9A-Fa-f]{6})\"");

    @TempDir
    private static Path folder;

    private record Named(String name, Figure figure, Exhibit<?, ?> exhibit) {
        /** on the bench, in the Logbook, small, on paper, and as small as the bench lets it become */
        List<double[]> sizes() {
            List<double[]> sizes = new ArrayList<>(List.of(SIZES));
            sizes.add(new double[] {exhibit.onPaper().width(), exhibit.onPaper().height()});
            sizes.add(new double[] {LEAST_WIDTH, exhibit.leastHeight()});
            return sizes;
        }
    }

    private static final List<Named> FIGURES = new ArrayList<>();

    @BeforeAll
    static void everythingOnRecord() {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            for (Logbook.MachineName machine : logbook.machines()) {
                for (Stop<?, ?> stop : Catalogue.stops()) {
                    for (Entry entry : logbook.readings(
                            machine.id(), stop.procedure().card().id(), 6)) {
                        for (boolean inches : new boolean[] {false, true}) {
                            FIGURES.add(new Named(
                                    machine.name() + ", "
                                            + stop.procedure().card().id() + ", no. " + entry.number()
                                            + (inches ? ", inches" : ""),
                                    stop.figure((Body.Measured) entry.body(), new UnitChoice(inches, inches)),
                                    stop.exhibit()));
                        }
                    }
                }
            }
        }
    }

    /** What the worked cases find is drawn too: much of it no demo shop has. */
    @BeforeAll
    static void everyWorkedCase() throws IOException {
        for (Stop<?, ?> stop : Catalogue.stops()) {
            String id = stop.procedure().card().id();
            try (InputStream file = EveryDrawingTest.class.getResourceAsStream("/worked-cases/" + id + ".json")) {
                for (JsonNode each : new ObjectMapper().readTree(file)) {
                    if (!each.get("expect").has("error")) {
                        String name = id + ", " + each.get("name").asText();
                        FIGURES.add(new Named(name, worked(stop, each.get("readings")), stop.exhibit()));
                    }
                }
            }
        }
    }

    private static <R extends Record, F extends Record> Figure worked(Stop<R, F> stop, JsonNode readings) {
        R read = Binder.bind(readings, stop.procedure().readingsType());
        return stop.exhibit().figure(read, stop.procedure().evaluate(read).finding(), UnitChoice.METRIC);
    }

    @Test
    void noWordStandsOnAnotherOrOutside() {
        List<String> crowded = new ArrayList<>();
        for (Named each : FIGURES) {
            for (double[] size : each.sizes()) {
                Drawn.of(each.figure(), size[0], size[1])
                        .crowded(size[0], size[1])
                        .forEach(words -> crowded.add(each.name() + ", " + size[0] + " x " + size[1] + ": " + words));
            }
        }
        assertThat(FIGURES).hasSizeGreaterThan(200);
        assertThat(crowded).isEmpty();
    }

    @Test
    void noLineGoesThroughAWord() {
        List<String> crossed = new ArrayList<>();
        for (Named each : FIGURES) {
            for (double[] size : each.sizes()) {
                Drawn.of(each.figure(), size[0], size[1])
                        .crossed()
                        .forEach(words -> crossed.add(each.name() + ", " + size[0] + " x " + size[1] + ": " + words));
            }
        }
        assertThat(crossed).isEmpty();
    }

    @Test
    void asSvgEachIsWholeXmlInTheColoursOfItsGroundAndWithoutNonsense() throws Exception {
        for (Ground ground : Ground.values()) {
            Look look = Look.of(ground);
            Set<String> known = new HashSet<>();
            for (Tone tone : Tone.values()) {
                known.add(look.web(tone).toUpperCase(Locale.ROOT));
            }
            for (Named each : FIGURES) {
                String svg = SvgPen.document(each.figure(), 688, 300, look);
                assertThat(svg).as(each.name()).doesNotContain("NaN", "Infinity", "null");
                Document document = DocumentBuilderFactory.newInstance()
                        .newDocumentBuilder()
                        .parse(new InputSource(new StringReader(svg)));
                assertThat(document.getDocumentElement()
                                .getElementsByTagName("path")
                                .getLength())
                        .as(each.name())
                        .isPositive();
                Matcher colours = COLOUR.matcher(svg);
                while (colours.find()) {
                    assertThat(known).as(each.name()).contains(colours.group(1).toUpperCase(Locale.ROOT));
                }
            }
        }
    }

    @Test
    void whatIsTurnedAndClippedIsClosedAgain() {
        String svg = SvgPen.document(
                (pen, width, height) -> pen.clipped(
                        1,
                        2,
                        30,
                        40,
                        () -> pen.turned(5, 6, -90, () -> pen.text(5, 6, "a < b & \"c\"", Lettering.SMALL, Tone.INK))),
                100,
                50,
                Look.of(Ground.LIGHT));
        assertThat(svg)
                .contains(
                        "<clipPath id=\"c1\"><rect x=\"1.00\" y=\"2.00\" width=\"30.00\" height=\"40.00\"/></clipPath>",
                        "rotate(-90.0 5.00 6.00)",
                        "a &lt; b &amp; ");
        assertThat(svg.split("<g ", -1)).hasSameSizeAs(svg.split("</g>", -1));
    }
}
