package zebrawood.desktop.visit;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.units.UnreadableException;
import zebrawood.core.visit.Task;

/** What is done besides the stops, as it is typed: {@code Dunlin: glue the mirror mount, 5 min, wait 2 h, two}. */
final class Besides {

    private static final int LONGEST_MIN = 24 * 60;

    private Besides() {}

    /** What cannot be read; its message is a sentence that says what to type. */
    static final class Unread extends Exception {
        private static final long serialVersionUID = 1;

        Unread(String sentence) {
            super(sentence);
        }
    }

    /** @param machines whose names may stand before a colon */
    static Task read(String line, int number, List<String> machines) throws Unread {
        int colon = line.indexOf(':');
        Optional<String> machine = colon < 0
                ? Optional.empty()
                : machines.stream()
                        .filter(name ->
                                name.equalsIgnoreCase(line.substring(0, colon).strip()))
                        .findFirst();
        String[] parts = (machine.isPresent() ? line.substring(colon + 1) : line).split(",(?=\\s)");
        String title = parts[0].strip();
        int hands = -1;
        int waits = 0;
        Task.Who who = Task.Who.ONE;
        for (int i = 1; i < parts.length; i++) {
            String part = parts[i].strip();
            String word = part.toLowerCase(Locale.ROOT);
            if (word.startsWith("wait ")) {
                waits = minutes(part.substring("wait ".length()), line);
            } else if (word.equals("two")) {
                who = Task.Who.TWO;
            } else if (word.equals("electrician")) {
                who = Task.Who.ELECTRICIAN;
            } else {
                hands = minutes(part, line);
            }
        }
        if (title.isEmpty() || hands < 0 && waits == 0) {
            throw new Unread(
                    "Type what is done and how long it takes, such as \"clean the filter, 5 min, wait 30 min\", "
                            + "instead of \"" + line + "\".");
        }
        boolean nobody = hands <= 0 && who == Task.Who.ONE;
        return new Task(
                "besides " + number,
                title,
                machine.orElse("the shop"),
                Math.max(0, hands),
                waits,
                nobody ? Task.Who.NOBODY : who,
                Set.of(),
                0);
    }

    private static int minutes(String text, String line) throws Unread {
        try {
            double minutes =
                    Typed.read(text, Quantity.MINUTES, UnitChoice.METRIC).base();
            if (minutes < 0 || minutes > LONGEST_MIN) {
                throw new Unread("Plan no more than a day, and no less than nothing: \"" + line + "\".");
            }
            return (int) Math.ceil(minutes);
        } catch (UnreadableException unreadable) {
            throw new Unread("In \"" + line + "\": \"" + text + "\" is no time; type it as 5 min or 2 h.");
        }
    }
}
