package zebrawood.kit.view;

import java.util.regex.Pattern;
import javafx.scene.control.Label;
import javafx.scene.control.TextInputControl;
import javafx.scene.layout.Region;
import zebrawood.core.units.Signs;
import zebrawood.kit.theme.Fonts;
import zebrawood.kit.theme.Scripts;

/** Labels whose font has the characters of their text. */
public final class Words {

    private static final String WIDER = "wider";
    private static final Pattern UNIT =
            Pattern.compile("(\\d|\\bS) (mm|in|\u00b0C|\u00b0F|%|W|kg|min|nm|\u00b5m|\\d+)(?=$|[^\\p{L}\\d])");

    private Words() {}

    /** A label in these styles; a line of its own is never cut. */
    public static Label label(String text, String... styles) {
        Label label = new Label();
        label.getStyleClass().addAll(styles);
        set(label, text);
        return label;
    }

    /** A label that goes on over several lines. */
    public static Label wrapped(String text, String... styles) {
        Label label = label(text, styles);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    /** How high words are in so much width; what fits into one line is not set in several to find that out. */
    public static double tall(Label label, double width) {
        return label.prefWidth(-1) <= width ? label.prefHeight(-1) : label.prefHeight(width);
    }

    /** Changes a label only where its text is another, so that nothing is laid out in vain. */
    public static void set(Label label, String words) {
        String text = Signs.shown(words);
        label.setText(together(text));
        label.getStyleClass().remove(WIDER);
        if (!Scripts.isPlain(text)) {
            Fonts.loadAll();
            label.getStyleClass().add(WIDER);
        }
    }

    /** Begun with a capital and ended with a full stop. */
    public static String sentence(String words) {
        return words.isEmpty()
                ? ""
                : Character.toUpperCase(words.charAt(0)) + words.substring(1) + (words.endsWith(".") ? "" : ".");
    }

    /** As it stands within a sentence: begun with a small letter. */
    public static String within(String sentence) {
        return sentence.isEmpty() ? "" : Character.toLowerCase(sentence.charAt(0)) + sentence.substring(1);
    }

    /** A number stays with its unit when a line is broken. */
    public static String together(String text) {
        if (text.chars().noneMatch(c -> c >= '0' && c <= '9' || c == '\u00b1')) {
            return text;
        }
        return UNIT.matcher(text).replaceAll("$1\u00a0$2").replace("\u00b1 ", "\u00b1\u00a0");
    }

    /** Lets a field change to the wider font when it needs it. */
    public static void follow(TextInputControl field) {
        field.textProperty().addListener((value, before, now) -> {
            boolean wide = !Scripts.isPlain(now.replace("\n", ""));
            if (wide && !field.getStyleClass().contains(WIDER)) {
                field.getStyleClass().add(WIDER);
            } else if (!wide) {
                field.getStyleClass().remove(WIDER);
            }
        });
    }

    /** A hairline across. */
    public static Region rule() {
        Region rule = new Region();
        rule.getStyleClass().add("rule");
        return rule;
    }
}
