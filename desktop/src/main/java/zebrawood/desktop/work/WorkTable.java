package zebrawood.desktop.work;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import zebrawood.core.entry.Body;
import zebrawood.kit.form.Draft;

/** A work result as pairs of label and figure, group by group; what was not said is left out. */
public final class WorkTable {

    private WorkTable() {}

    public static Map<String, List<Body.Pair>> of(Body.Worked worked) {
        Map<String, Draft.Text> texts = WorkField.texts(worked);
        Map<String, List<Body.Pair>> groups = new LinkedHashMap<>();
        for (WorkField field : WorkField.all()) {
            Draft.Text text = texts.get(field.path());
            if (text != null && !field.path().equals("outcome.word")) {
                groups.computeIfAbsent(field.group().title(), group -> new ArrayList<>())
                        .add(new Body.Pair(field.label(), WorkField.shown(field, text)));
            }
        }
        return groups;
    }
}
