package zebrawood.core.visit;

import java.util.Set;

/**
 * Something to do on a visit.
 *
 * @param id of it
 * @param title what it is called
 * @param machine on which machine
 * @param hands minutes for which people are needed, 0 or more
 * @param waits minutes after them for which nobody is, 0 or more
 * @param who is needed
 * @param after ids of what has to be over before, waits included
 * @param notBefore minute of the visit before which it cannot begin
 */
public record Task(
        String id, String title, String machine, int hands, int waits, Who who, Set<String> after, int notBefore) {

    /** Who is needed for the minutes of hands. */
    public enum Who {
        ONE("one technician"),
        TWO("two people"),
        ELECTRICIAN("licensed electrician"),
        NOBODY("nobody");

        private final String words;

        Who(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        int technicians() {
            return this == ONE ? 1 : this == TWO ? 2 : 0;
        }
    }

    public Task {
        after = Set.copyOf(after);
        if (hands < 0 || waits < 0 || notBefore < 0) {
            throw new IllegalArgumentException(title + ": minutes cannot be negative");
        }
    }

    /** From its beginning until what comes after it may begin. */
    int length() {
        return hands + waits;
    }
}
