package zebrawood.desktop.visit;

import java.util.ArrayList;
import java.util.List;
import zebrawood.core.visit.Plan;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/**
 * A day: a lane for each person, under them what waits by itself, hours along the foot; the critical chain in walnut.
 */
final class VisitFigure {

    private static final double LEFT = 96;
    private static final double LANE = 46;
    private static final double WAIT = 20;
    private static final double GAP = 8;
    private static final int HOUR = 60;

    private final Pen pen;
    private final VisitDay day;
    private final double scale;
    private double y = 4;

    private VisitFigure(Pen pen, VisitDay day, double width) {
        this.pen = pen;
        this.day = day;
        scale = (width - LEFT - 26) / Math.max(HOUR / 2.0, day.plan().finish());
    }

    static Figure of(VisitDay day) {
        return (pen, width, height) -> new VisitFigure(pen, day, width).draw(height);
    }

    /** How high it wants to be. */
    static double height(VisitDay day) {
        boolean electrician = day.crew().electricianFrom().isPresent();
        return (day.crew().technicians() + (electrician ? 1 : 0)) * (LANE + GAP)
                + Math.max(1, rows(day.plan()).size()) * WAIT
                + 56;
    }

    private double x(int minute) {
        return LEFT + minute * scale;
    }

    private void draw(double height) {
        hours(height);
        for (int lane = 0; lane < day.crew().technicians(); lane++) {
            lane("Technician " + (lane + 1), lane);
        }
        if (day.crew().electricianFrom().isPresent()) {
            lane("Electrician", Plan.ELECTRICIAN);
        }
        waits();
    }

    private void hours(double height) {
        int step = day.plan().finish() > 8 * HOUR ? 2 * HOUR : day.plan().finish() > 3 * HOUR ? HOUR : HOUR / 2;
        int first = (step - day.local().getMinute() % step) % step;
        for (int minute = first; minute <= day.plan().finish(); minute += step) {
            pen.line(x(minute), 0, x(minute), height - 22, Stroke.of(Tone.HAIRLINE, 1));
            pen.text(x(minute), height - 6, day.clock(minute), Lettering.CAPTION, Tone.QUIET, Anchor.MIDDLE);
        }
    }

    private void lane(String name, int lane) {
        pen.text(0, y + LANE / 2 + 4, name, Lettering.SMALL, Tone.INK);
        pen.line(LEFT, y + LANE, x(day.plan().finish()), y + LANE, Stroke.of(Tone.HAIRLINE, 1));
        int comes = day.crew().electricianFrom().orElse(0);
        if (lane == Plan.ELECTRICIAN && comes <= day.plan().finish()) {
            pen.line(x(comes), y, x(comes), y + LANE, Stroke.of(Tone.READING, 2));
            pen.text(x(comes) + 4, y + 12, "comes", Lettering.CAPTION, Tone.READING);
        }
        for (Plan.Timed timed : day.plan().timed()) {
            if (timed.lanes().contains(lane)) {
                bar(timed);
            }
        }
        y += LANE + GAP;
    }

    private void bar(Plan.Timed timed) {
        double from = x(timed.from());
        double wide = Math.max(3, timed.task().hands() * scale - 1);
        boolean critical = timed.critical();
        pen.rectangle(
                from, y, wide, LANE, Tone.RAISED, Stroke.of(critical ? Tone.WALNUT : Tone.QUIET, critical ? 3 : 1.2));
        String number = String.valueOf(day.plan().timed().indexOf(timed) + 1);
        if (pen.textWidth(number, Lettering.TEXT_BOLD) + 4 <= wide) {
            pen.text(from + wide / 2, y + 19, number, Lettering.TEXT_BOLD, Tone.INK, Anchor.MIDDLE);
            String machine = timed.task().machine();
            if (pen.textWidth(machine, Lettering.CAPTION) + 4 <= wide) {
                pen.text(from + wide / 2, y + 36, machine, Lettering.CAPTION, Tone.QUIET, Anchor.MIDDLE);
            }
        }
    }

    /** Waits in as few rows as they need. */
    private static List<List<Plan.Timed>> rows(Plan plan) {
        List<List<Plan.Timed>> rows = new ArrayList<>();
        for (Plan.Timed timed : plan.timed()) {
            if (timed.task().waits() > 0) {
                List<Plan.Timed> row = rows.stream()
                        .filter(each -> each.get(each.size() - 1).end() <= timed.handsEnd())
                        .findFirst()
                        .orElseGet(() -> {
                            List<Plan.Timed> made = new ArrayList<>();
                            rows.add(made);
                            return made;
                        });
                row.add(timed);
            }
        }
        return rows;
    }

    private void waits() {
        pen.text(0, y + 14, "waits", Lettering.SMALL, Tone.INK);
        for (List<Plan.Timed> row : rows(day.plan())) {
            for (Plan.Timed timed : row) {
                double from = x(timed.handsEnd());
                double wide = timed.task().waits() * scale - 1;
                pen.band(from, y, wide, WAIT - 4);
                String number = String.valueOf(day.plan().timed().indexOf(timed) + 1);
                if (timed.critical()) {
                    pen.line(from, y + WAIT - 4, from + wide, y + WAIT - 4, Stroke.of(Tone.WALNUT, 3));
                }
                if (pen.textWidth(number, Lettering.SMALL) + 4 <= wide) {
                    pen.text(from + wide / 2, y + 12, number, Lettering.SMALL, Tone.INK, Anchor.MIDDLE);
                }
            }
            y += WAIT;
        }
    }
}
