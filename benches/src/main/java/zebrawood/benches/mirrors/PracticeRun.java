package zebrawood.benches.mirrors;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.form.Draft;

/** Practice in the draft of the bench: begun, ended without a trace, and scored once it is at its end. */
final class PracticeRun {

    /** from one pretend machine's number to the next one's */
    private static final long ANOTHER = 7919;
    /** where a draft keeps which runs practice filled in, to take them out again */
    private static final String LENT = "practiceRuns";

    private final BenchPlace place;
    private final Draft draft;
    private final Steps steps;
    private Optional<Practice.Score> score = Optional.empty();
    private String scored = "";
    private long practised;

    PracticeRun(BenchPlace place, Steps steps) {
        this.place = place;
        this.steps = steps;
        draft = place.draft();
    }

    boolean isOn() {
        return !draft.text(Practice.FIELD).isEmpty();
    }

    /** The pretend machine, with runs as long as these. */
    Optional<Practice> machine(PlanReadings.Run run) {
        String number = draft.text(Practice.FIELD);
        return number.matches("\\d{1,9}") ? Optional.of(new Practice(Long.parseLong(number), run)) : Optional.empty();
    }

    /** Begins on another pretend machine; runs that are not known are lent for so long. */
    void begin() {
        Map<String, Draft.Text> changed = new HashMap<>();
        PlanReadings.Run proposed = MirrorsBench.proposed(place.plate());
        Map<String, Double> usual = Map.of(
                MirrorsBench.Y_NEAR, proposed.yNearMm(),
                MirrorsBench.Y_FAR, proposed.yFarMm(),
                MirrorsBench.X_NEAR, proposed.xNearMm(),
                MirrorsBench.X_FAR, proposed.xFarMm());
        List<String> lent = new ArrayList<>();
        usual.forEach((field, mm) -> {
            if (draft.text(field).isBlank()) {
                lent.add(field);
                changed.put(field, new Draft.Text(Amount.exact(mm), UnitChoice.METRIC));
            }
        });
        long number = Math.floorMod(place.workplace().now().getEpochSecond() + ANOTHER * ++practised, 100_000L);
        Draft.put(changed, Practice.FIELD, String.valueOf(number));
        Draft.put(changed, LENT, String.join(" ", lent));
        Draft.put(changed, MirrorsBench.BEGUN, "yes");
        draft.typeAll(changed);
    }

    /** Ends it; nothing of it stays in the draft. */
    void end() {
        Map<String, Draft.Text> changed = new HashMap<>();
        for (String field : draft.texts().keySet()) {
            if (field.startsWith("mark[") || field.startsWith("turned[")) {
                Draft.put(changed, field, "");
            }
        }
        for (String field : draft.text(LENT).split(" ")) {
            if (!field.isEmpty()) {
                Draft.put(changed, field, "");
            }
        }
        for (String field : List.of(Practice.FIELD, Practice.SHOT, LENT, MirrorsBench.BEGUN, Steps.FIELD)) {
            Draft.put(changed, field, "");
        }
        draft.typeAll(changed);
    }

    /**
     * Works out how it came out, apart, once nothing more is asked for.
     *
     * @param then runs when the score is there
     */
    void score(boolean ended, PlanReadings.Run run, Runnable then) {
        String what = draft.text(Practice.FIELD) + draft.text(Steps.FIELD);
        if (!ended || !isOn() || what.equals(scored)) {
            return;
        }
        scored = what;
        score = Optional.empty();
        List<Steps.Made> made = steps.made();
        machine(run)
                .ifPresent(machine -> place.workplace().apart(() -> machine.score(made), result -> {
                    score = Optional.of(result);
                    then.run();
                }));
    }

    /** How it came out, in words; empty while that is not known. */
    Optional<String> words(int shots, UnitChoice units) {
        return isOn()
                ? score.map(came -> shots + " shots, the plan takes " + came.planShots() + ". Truly "
                        + Amount.mm(came.spreadMm(), 1).text(units) + " apart. "
                        + Practice.words(came.flaw()).orElse(""))
                : Optional.empty();
    }
}
