package zebrawood.benches.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.json.Binder;
import zebrawood.json.RecordWriter;
import zebrawood.json.StrictJson;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Worksheet;

/**
 * What was shot and turned so far, as a draft keeps it: the order in one text, and each mark in fields of its own, as
 * typed. The mark of the shot that is being read has fields already and stands in no order yet.
 */
final class Steps {

    static final String FIELD = "steps";

    private final Draft draft;

    /**
     * Where a card is shot at.
     *
     * @param mirror whose run is read: 1 on a card at mirror 2, 2 on a card at the head
     */
    public record At(int mirror, double gantryMm, OptionalDouble carriageMm) {}

    /** One step: a card that was shot at, or a screw that was turned. */
    public record Made(Optional<At> shot, Optional<PlanReadings.Turn> turn) {}

    /** All of them, as a draft keeps them. */
    public record Kept(List<Made> made) {
        public Kept {
            made = List.copyOf(made);
        }
    }

    Steps(Draft draft) {
        this.draft = draft;
    }

    static String x(int shot) {
        return "mark[" + shot + "].x";
    }

    static String y(int shot) {
        return "mark[" + shot + "].y";
    }

    static String current(int shot) {
        return "mark[" + shot + "].current";
    }

    /** The field of how far a screw was turned, where that is not what was asked: so many asked before it. */
    static String turned(int which) {
        return "turned[" + which + "]";
    }

    List<Made> made() {
        String text = draft.text(FIELD);
        if (text.isEmpty()) {
            return List.of();
        }
        try {
            return Binder.bind(StrictJson.read(text).root(), Kept.class).made();
        } catch (ReadingException damaged) {
            return List.of();
        }
    }

    /** The shots among them. */
    List<At> shots() {
        return made().stream().flatMap(step -> step.shot().stream()).toList();
    }

    /** These, and then more of them, as a text. */
    static Draft.Text kept(List<Made> before, List<Made> more) {
        List<Made> all = new ArrayList<>(before);
        all.addAll(more);
        return new Draft.Text(all.isEmpty() ? "" : RecordWriter.text(new Kept(all)), UnitChoice.METRIC);
    }

    /** Puts them into the readings. */
    void assemble(Worksheet sheet) {
        int shot = 0;
        List<Made> made = made();
        for (int i = 0; i < made.size(); i++) {
            String at = "steps[" + i + "].";
            if (made.get(i).turn().isPresent()) {
                sheet.record(at + "turn", made.get(i).turn().get());
                continue;
            }
            At place = made.get(i).shot().orElseThrow();
            sheet.record(at + "shot", place);
            sheet.amount(x(shot), at + "shot.xMm", Quantity.LENGTH);
            sheet.amount(y(shot), at + "shot.yMm", Quantity.LENGTH);
            sheet.amount(current(shot), at + "shot.currentMa", Quantity.CURRENT);
            shot++;
        }
    }

    /** The texts that give these steps again. */
    static void texts(List<PlanReadings.Step> steps, Map<String, String> asTyped, Map<String, Draft.Text> texts) {
        List<Made> made = new ArrayList<>();
        int shots = 0;
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).turn().isPresent()) {
                made.add(new Made(Optional.empty(), steps.get(i).turn()));
                continue;
            }
            PlanReadings.Shot shot = steps.get(i).shot().orElseThrow();
            String at = "steps[" + i + "].shot.";
            made.add(
                    new Made(Optional.of(new At(shot.mirror(), shot.gantryMm(), shot.carriageMm())), Optional.empty()));
            texts.put(x(shots), Draft.retyped(asTyped.get(at + "xMm"), shot.xMm(), Quantity.LENGTH));
            texts.put(y(shots), Draft.retyped(asTyped.get(at + "yMm"), shot.yMm(), Quantity.LENGTH));
            if (shot.currentMa().isPresent()) {
                texts.put(
                        current(shots),
                        Draft.retyped(
                                asTyped.get(at + "currentMa"), shot.currentMa().getAsDouble(), Quantity.CURRENT));
            }
            shots++;
        }
        texts.put(FIELD, kept(List.of(), made));
    }
}
