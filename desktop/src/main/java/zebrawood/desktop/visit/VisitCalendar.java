package zebrawood.desktop.visit;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import java.time.Duration;
import java.util.Date;
import zebrawood.core.visit.Plan;

/** A plan as iCalendar: an event for each task, its waiting in the words. */
final class VisitCalendar {

    private VisitCalendar() {}

    static String of(VisitDay day) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Zebrawood//Visit//EN");
        for (Plan.Timed timed : day.plan().timed()) {
            VEvent event = new VEvent();
            event.setUid(timed.task().id().replace('/', '-') + "-" + day.from().getEpochSecond() + "@zebrawood");
            event.setDateTimeStamp(Date.from(day.from()));
            event.setSummary(timed.task().machine() + ": " + timed.task().title());
            event.setDateStart(Date.from(day.from().plus(Duration.ofMinutes(timed.from()))));
            int end = timed.task().hands() > 0 ? timed.handsEnd() : timed.end();
            event.setDateEnd(Date.from(day.from().plus(Duration.ofMinutes(end))));
            event.setDescription((VisitDay.lasts(timed) + ". " + day.who(timed) + ". " + day.meanwhile(timed)).strip());
            calendar.addEvent(event);
        }
        return Biweekly.write(calendar).go();
    }
}
