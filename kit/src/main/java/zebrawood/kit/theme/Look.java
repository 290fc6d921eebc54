package zebrawood.kit.theme;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/** Colours, sizes and fonts of one ground, for what is drawn rather than styled. */
public final class Look {

    /** measured texts kept: more than stand on any page */
    private static final int KEPT = 1_000;

    private static final Map<Ground, Look> LOOKS = new EnumMap<>(Ground.class);

    private final Ground ground;
    private final Map<Tone, String> web = new EnumMap<>(Tone.class);
    private final Map<Tone, Color> paints = new EnumMap<>(Tone.class);
    private final Map<Lettering, Double> sizes = new EnumMap<>(Lettering.class);
    private Text ruler;
    private final Map<String, Double> widths = new LinkedHashMap<>(256, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Double> eldest) {
            return size() > KEPT;
        }
    };

    private Look(Ground ground) {
        this.ground = ground;
        Tokens tokens = new Tokens(ground);
        for (Tone tone : Tone.values()) {
            web.put(tone, tokens.get(tone.token()));
            paints.put(tone, Color.web(tokens.get(tone.token())));
        }
        for (Lettering lettering : Lettering.values()) {
            sizes.put(lettering, Double.parseDouble(tokens.get(lettering.token())));
        }
    }

    /** The look of a ground, made once. */
    public static synchronized Look of(Ground ground) {
        return LOOKS.computeIfAbsent(ground, Look::new);
    }

    /** The ground it is made for. */
    public Ground ground() {
        return ground;
    }

    /** Whether areas are told apart by hatching, as through tinted eyewear. */
    public boolean hatches() {
        return ground == Ground.EYEWEAR;
    }

    /** {@code #RRGGBB}. */
    public String web(Tone tone) {
        return web.get(tone);
    }

    /** The colour of a tone on this ground. */
    public Color paint(Tone tone) {
        return paints.get(tone);
    }

    /** The height of a lettering, px. */
    public double size(Lettering lettering) {
        return sizes.get(lettering);
    }

    /** A stroke as this ground draws it, px: Eyewear view half again as thick, and 2 px at the least. */
    public double strokeWidth(double width) {
        return ground == Ground.EYEWEAR && width >= 1 ? Math.max(2, width * 1.4) : width;
    }

    /** The font of a lettering for a script. */
    public Font font(Lettering lettering, Scripts.Script script) {
        return Fonts.font(lettering, script, sizes.get(lettering));
    }

    /** How wide a text is, px. Asked for again and again while something is typed, so what was measured is kept. */
    public double textWidth(String text, Lettering lettering) {
        return widths.computeIfAbsent(lettering.name() + text, unknown -> measure(text, lettering));
    }

    private double measure(String text, Lettering lettering) {
        if (ruler == null) {
            ruler = new Text();
        }
        double width = 0;
        for (Scripts.Run run : Scripts.runs(text)) {
            ruler.setText(run.text());
            ruler.setFont(font(lettering, run.script()));
            width += ruler.getLayoutBounds().getWidth();
        }
        return width;
    }
}
