package zebrawood.core.pattern;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.AffineTransform;
import java.awt.geom.Line2D;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.apache.batik.anim.dom.SAXSVGDocumentFactory;
import org.apache.batik.bridge.BridgeContext;
import org.apache.batik.bridge.GVTBuilder;
import org.apache.batik.bridge.UserAgentAdapter;
import org.apache.batik.gvt.CompositeGraphicsNode;
import org.apache.batik.gvt.GraphicsNode;
import org.apache.batik.gvt.ShapeNode;
import org.junit.jupiter.api.Test;
import org.mozilla.javascript.Context;
import org.mozilla.javascript.NativeArray;
import org.mozilla.javascript.Scriptable;
import org.w3c.dom.Element;
import org.w3c.dom.svg.SVGDocument;

/** Drawings opened by programs that did not write them: Batik for SVG, dxf-parser for DXF. */
class OpenedElsewhereTest {

    private final SplittableRandom random = new SplittableRandom(77);

    private double between(double least, double most) {
        return least + (most - least) * random.nextDouble();
    }

    private List<Pattern> all() {
        return List.of(
                Patterns.ramp(between(50, 250)),
                Patterns.ladder(List.of(5.5, 6.0, 6.5, 7.0), between(3, 15), between(0.1, 1)),
                Patterns.nine(between(200, 700), between(150, 500), between(20, 60), between(5, 20)),
                Patterns.strip(between(5, 15), between(0.05, 0.5)),
                Patterns.cells(List.of(10.0, 50.0, 100.0), between(3, 15), between(0.1, 1)),
                Patterns.gauge(between(4, 9), between(0.2, 1), "middle 60"),
                Patterns.rampScale(between(10, 15), between(100, 200), between(5, 10)),
                Patterns.rampScale(between(200, 210), between(100, 200), between(-10, -5)));
    }

    @Test
    void aDxfHasItsLinesWhereTheyBelongInMillimetres() throws IOException {
        try (InputStream file = getClass().getResourceAsStream("/dxf-reader/dxf-parser.js");
                Context context = Context.enter()) {
            context.setInterpretedMode(true);
            Scriptable scope = context.initStandardObjects();
            context.evaluateString(
                    scope, new String(file.readAllBytes(), StandardCharsets.UTF_8), "dxf-parser.js", 1, null);
            for (int round = 0; round < 5; round++) {
                for (Pattern pattern : all()) {
                    scope.put("text", scope, Drawings.dxf(pattern));
                    context.evaluateString(scope, "dxf = new DxfParser().parseSync(text)", "test", 1, null);
                    assertThat(number(context.evaluateString(scope, "dxf.header.$INSUNITS", "test", 1, null)))
                            .as("millimetres")
                            .isEqualTo(4);
                    NativeArray numbers = (NativeArray) context.evaluateString(
                            scope,
                            "[].concat.apply([], dxf.entities.filter(function(e) { return e.type === 'LINE' })"
                                    + ".map(function(e) { return [e.vertices[0].x, e.vertices[0].y, e.vertices[1].x,"
                                    + " e.vertices[1].y] }))",
                            "test",
                            1,
                            null);
                    List<Pattern.Line> lines = pattern.lines();
                    assertThat(numbers.getLength()).isEqualTo(4L * lines.size());
                    for (int i = 0; i < lines.size(); i++) {
                        Pattern.Line line = lines.get(i);
                        double[] wanted = {line.fromXMm(), line.fromYMm(), line.toXMm(), line.toYMm()};
                        for (int k = 0; k < 4; k++) {
                            assertThat(number(numbers.get(4 * i + k))).isCloseTo(wanted[k], within(1e-6));
                        }
                    }
                    assertThat(number(context.evaluateString(
                                    scope,
                                    "dxf.entities.filter(function(e) { return e.type === 'TEXT' }).length",
                                    "test",
                                    1,
                                    null)))
                            .isEqualTo(pattern.labels().size());
                }
            }
        }
    }

    private static double number(Object value) {
        return ((Number) value).doubleValue();
    }

    @Test
    void anSvgIsDrawnWithItsLinesWhereTheyBelongOnPaper() throws IOException {
        for (Pattern pattern : all()) {
            SVGDocument document = new SAXSVGDocumentFactory(null)
                    .createSVGDocument("file:///pattern.svg", new StringReader(Drawings.svg(pattern)));
            UserAgentAdapter agent = new UserAgentAdapter();
            BridgeContext bridge = new BridgeContext(agent);
            GraphicsNode root = new GVTBuilder().build(bridge, document);
            double perPx = agent.getPixelUnitToMillimeter();
            assertThat(bridge.getDocumentSize().getWidth() * perPx).isCloseTo(pattern.widthMm(), within(1e-3));
            List<double[]> drawn = new ArrayList<>();
            collect(root, new AffineTransform(), drawn);
            List<Pattern.Line> lines = pattern.lines();
            assertThat(drawn).hasSize(lines.size());
            for (int i = 0; i < lines.size(); i++) {
                // it draws in single precision: a hundredth of what a laser can place
                assertThat(drawn.get(i)[0] * perPx).isCloseTo(lines.get(i).fromXMm(), within(1e-3));
                assertThat(pattern.heightMm() - drawn.get(i)[3] * perPx)
                        .isCloseTo(lines.get(i).toYMm(), within(1e-3));
                Element written =
                        (Element) document.getElementsByTagName("line").item(i);
                assertThat(Double.parseDouble(written.getAttribute("x2")))
                        .isCloseTo(lines.get(i).toXMm(), within(1e-6));
                assertThat(pattern.heightMm() - Double.parseDouble(written.getAttribute("y1")))
                        .isCloseTo(lines.get(i).fromYMm(), within(2e-6));
            }
        }
    }

    /** Every line as it lands on the paper, in its order. */
    private static void collect(GraphicsNode node, AffineTransform outer, List<double[]> drawn) {
        AffineTransform here = new AffineTransform(outer);
        if (node.getTransform() != null) {
            here.concatenate(node.getTransform());
        }
        if (node instanceof CompositeGraphicsNode group) {
            for (Object child : group.getChildren()) {
                collect((GraphicsNode) child, here, drawn);
            }
        } else if (node instanceof ShapeNode shape && shape.getShape() instanceof Line2D line) {
            double[] ends = {line.getX1(), line.getY1(), line.getX2(), line.getY2()};
            here.transform(ends, 0, ends, 0, 2);
            drawn.add(ends);
        }
    }
}
