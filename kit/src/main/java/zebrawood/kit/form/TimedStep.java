package zebrawood.kit.form;

import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.event.ActionEvent;
import javafx.scene.control.Button;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.view.Workplace;

/**
 * Something to be watched for some minutes. When it began stands in the draft: it goes on while another stop is done,
 * and after the program was closed or killed.
 */
public final class TimedStep extends Button {

    private static final String OVER = ".over";

    private final String name;
    private final int minutes;
    private final Workplace workplace;
    private final Draft draft;
    private Optional<String> good = Optional.empty();
    private final Timeline clock = new Timeline(new KeyFrame(javafx.util.Duration.seconds(1), event -> tell()));

    /**
     * @param field what is watched
     * @param timed for how long
     */
    TimedStep(Field field, Kind.Timed timed, Workplace workplace, Draft draft) {
        name = field.name();
        minutes = timed.minutes();
        this.workplace = workplace;
        this.draft = draft;
        setId(name + ".watch");
        setAccessibleText(field.label());
        getStyleClass().add("pill");
        setMaxWidth(Double.MAX_VALUE);
        setOnAction(event -> press());
        draft.onChange(this::tell);
        clock.setCycleCount(Timeline.INDEFINITE);
        // a clock that nobody sees need not run
        sceneProperty().addListener((value, before, scene) -> {
            if (scene == null) {
                clock.stop();
            } else {
                tell();
                clock.play();
            }
        });
        tell();
    }

    /**
     * Notes how long was watched when the answer is given.
     *
     * @param good the answer that has to wait until the time is over
     */
    void answeredBy(ChoiceField answer, String good) {
        this.good = Optional.of(good);
        // once the answer itself stands in the draft
        answer.addEventHandler(ActionEvent.ACTION, event -> Platform.runLater(() -> note(answer)));
    }

    private void note(ChoiceField answer) {
        boolean answered = !draft.text(answer.getId()).isEmpty();
        if (answered && draft.text(name + ".minutes").isEmpty()) {
            noteMinutes();
        } else if (!answered) {
            draft.type(name + ".minutes", "", UnitChoice.METRIC);
        }
    }

    private void noteMinutes() {
        draft.type(
                name + ".minutes",
                Amount.exact(watched().map(Duration::toMinutes).orElse(0L)),
                UnitChoice.METRIC);
    }

    /**
     * Whether a good answer was given before the time was over, and it is over now: one looks again and says so by a
     * press.
     */
    private boolean asksAgain() {
        return good.filter(draft.text(name)::equals).isPresent() && isOver() && noted() < minutes;
    }

    private long noted() {
        String text = draft.text(name + ".minutes");
        return text.matches("\\d{1,9}") ? Long.parseLong(text) : 0;
    }

    private void press() {
        if (asksAgain()) {
            noteMinutes();
        } else {
            begin();
        }
    }

    /** Begins, or begins anew. */
    private void begin() {
        draft.endStep();
        // what was seen before counts for the time before only
        draft.type(name, "", UnitChoice.METRIC);
        draft.type(name + ".minutes", "", UnitChoice.METRIC);
        draft.type(name + ".from", workplace.now().toString(), UnitChoice.METRIC);
        Instant over = workplace.now().plus(Duration.ofMinutes(minutes));
        draft.type(overName(name), over.toString(), UnitChoice.METRIC);
        draft.endStep();
    }

    /** Under which name a draft says when a wait is over. */
    public static String overName(String name) {
        return name + OVER;
    }

    /** What is waited for, where this is the name under which a draft says when that is over. */
    public static Optional<String> named(String field) {
        return field.endsWith(OVER)
                ? Optional.of(field.substring(0, field.length() - OVER.length()))
                : Optional.empty();
    }

    /** When a wait is over; empty where none began, or what stands there is damaged. */
    public static Optional<Instant> over(Map<String, Draft.Text> texts, String name) {
        try {
            return Optional.ofNullable(texts.get(overName(name)))
                    .map(Draft.Text::text)
                    .filter(text -> !text.isEmpty())
                    .map(Instant::parse);
        } catch (DateTimeParseException damaged) {
            return Optional.empty();
        }
    }

    private Optional<Duration> watched() {
        try {
            String from = draft.text(name + ".from");
            return from.isEmpty()
                    ? Optional.empty()
                    : Optional.of(Duration.between(Instant.parse(from), workplace.now()));
        } catch (DateTimeParseException damaged) {
            return Optional.empty();
        }
    }

    private boolean isOver() {
        return watched().filter(since -> since.toMinutes() >= minutes).isPresent();
    }

    private void tell() {
        setText(
                asksAgain()
                        ? "Time is over: still so?"
                        : watched()
                                .map(since -> {
                                    long left = minutes * 60L - since.toSeconds();
                                    return left <= 0
                                            ? minutes + " min are over"
                                            : String.format(Locale.ROOT, "%d:%02d left", left / 60, left % 60);
                                })
                                .orElse("Start " + minutes + " min"));
    }
}
