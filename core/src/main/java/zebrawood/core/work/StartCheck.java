package zebrawood.core.work;

import java.util.List;
import zebrawood.core.reading.Checks;

/**
 * The half minute before a job, as it was answered.
 *
 * @param lines what was looked at, in order
 * @param stays initials of who stays with the machine from start to end
 */
public record StartCheck(List<Line> lines, String stays) {

    /**
     * One thing that was looked at.
     *
     * @param id of the line
     * @param words as it was asked
     * @param right whether it was found right
     * @param remark what was not; may be empty
     */
    public record Line(String id, String words, boolean right, String remark) {
        public Line {
            new Checks()
                    .text("id", id)
                    .text("words", words)
                    .present("remark", remark)
                    .done();
        }
    }

    public StartCheck {
        lines = Checks.copy(lines);
        new Checks().entries("lines", lines, 1).text("stays", stays).done();
    }

    /** Whether all was right: only then the job is started. */
    public boolean isRight() {
        return lines.stream().allMatch(Line::right);
    }

    /** What was not right. */
    public List<Line> wrong() {
        return lines.stream().filter(line -> !line.right()).toList();
    }
}
