package zebrawood.core.visit;

import java.util.OptionalInt;

/**
 * Who is there.
 *
 * @param technicians one or two, for the whole visit
 * @param electricianFrom minute of the visit at which a licensed electrician comes; absent where none does
 */
public record Crew(int technicians, OptionalInt electricianFrom) {

    public static final int MOST_TECHNICIANS = 2;

    public Crew {
        if (technicians < 1 || technicians > MOST_TECHNICIANS) {
            throw new IllegalArgumentException("one technician or two can be planned");
        }
    }
}
