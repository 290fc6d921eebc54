package zebrawood.kit.form;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;

/**
 * What can stand in a field: how its text becomes a value in the readings, how that value becomes a text again, and how
 * it is said in a table.
 */
public sealed interface Kind {

    /** What is chosen where something is so, and where it is not. */
    String YES = "yes";

    String NO = "no";

    /** Puts what stands in a field into the readings, at a path; nothing where the field is empty. */
    void put(String field, String path, Worksheet sheet);

    /** The text that gives a value of the readings again. */
    Draft.Text text(JsonNode value, String asTyped);

    /** A value of the readings in words. */
    String said(JsonNode value, UnitChoice units);

    /** The kind of amount, for a field that is typed in; {@code PLAIN} for words. */
    default Quantity quantity() {
        return Quantity.PLAIN;
    }

    /** What can be chosen; none where something is typed. */
    default List<Choice> choices() {
        return List.of();
    }

    private static Draft.Text words(String words) {
        return new Draft.Text(words, UnitChoice.METRIC);
    }

    private static Choice chosen(List<Choice> choices, String id) {
        return choices.stream()
                .filter(choice -> choice.id().equals(id))
                .findFirst()
                .orElse(choices.get(0));
    }

    /**
     * An amount.
     *
     * @param quantity what kind of amount is typed
     */
    record Number(Quantity quantity) implements Kind {
        @Override
        public void put(String field, String path, Worksheet sheet) {
            sheet.amount(field, path, quantity);
        }

        @Override
        public Draft.Text text(JsonNode value, String asTyped) {
            return Draft.retyped(asTyped, value.doubleValue(), quantity);
        }

        @Override
        public String said(JsonNode value, UnitChoice units) {
            return Amount.told(quantity, value.doubleValue()).text(units);
        }
    }

    /**
     * Words.
     *
     * @param wide whether they take what is left of their line
     */
    record Words(boolean wide) implements Kind {
        @Override
        public void put(String field, String path, Worksheet sheet) {
            sheet.words(field, path);
        }

        @Override
        public Draft.Text text(JsonNode value, String asTyped) {
            return words(value.asText());
        }

        @Override
        public String said(JsonNode value, UnitChoice units) {
            return value.asText();
        }
    }

    /** One of a few words; the first one where nothing was chosen. */
    record OneOf(List<Choice> choices) implements Kind {
        public OneOf {
            choices = List.copyOf(choices);
        }

        @Override
        public void put(String field, String path, Worksheet sheet) {
            String id = chosen(choices, sheet.draft().text(field)).id();
            if (!id.isEmpty()) {
                sheet.word(path, id);
            }
        }

        @Override
        public Draft.Text text(JsonNode value, String asTyped) {
            return words(value.asText());
        }

        @Override
        public String said(JsonNode value, UnitChoice units) {
            return chosen(choices, value.asText()).words();
        }
    }

    /**
     * One of a few whole numbers, by words; the first one, which the readings need not say, where nothing was chosen.
     */
    record Count(List<Choice> choices) implements Kind {
        public Count {
            choices = List.copyOf(choices);
        }

        @Override
        public void put(String field, String path, Worksheet sheet) {
            String id = chosen(choices, sheet.draft().text(field)).id();
            if (!id.isEmpty()) {
                sheet.number(path, Integer.parseInt(id));
            }
        }

        @Override
        public Draft.Text text(JsonNode value, String asTyped) {
            return words(chosen(choices, value.asText()).id());
        }

        @Override
        public String said(JsonNode value, UnitChoice units) {
            return chosen(choices, value.asText()).words();
        }
    }

    /** What was looked at and is so or not; what nobody looked at is not said. */
    record Truth(String notSeen, String yes, String no) implements Kind {
        @Override
        public void put(String field, String path, Worksheet sheet) {
            String chosen = sheet.draft().text(field);
            // what is neither, as in a draft of an older version, is shown as not looked at
            if (chosen.equals(YES) || chosen.equals(NO)) {
                sheet.truth(path, chosen.equals(YES));
            }
        }

        @Override
        public Draft.Text text(JsonNode value, String asTyped) {
            return words(value.booleanValue() ? YES : NO);
        }

        @Override
        public String said(JsonNode value, UnitChoice units) {
            return value.booleanValue() ? yes : no;
        }

        @Override
        public List<Choice> choices() {
            return List.of(new Choice("", notSeen), new Choice(YES, yes), new Choice(NO, no));
        }
    }

    /** So, which is usual, or not. */
    record Either(Choice so, Choice not) implements Kind {
        @Override
        public void put(String field, String path, Worksheet sheet) {
            sheet.truth(path, !sheet.draft().text(field).equals(not.id()));
        }

        @Override
        public Draft.Text text(JsonNode value, String asTyped) {
            return words(value.booleanValue() ? so.id() : not.id());
        }

        @Override
        public String said(JsonNode value, UnitChoice units) {
            return value.booleanValue() ? so.words() : not.words();
        }

        @Override
        public List<Choice> choices() {
            return List.of(so, not);
        }
    }

    /**
     * Something to be watched for some minutes, and what was seen then; in the readings an object with {@code minutes}
     * and {@code clear}.
     *
     * @param choices nothing yet, then what is good, then what is not
     */
    record Timed(int minutes, List<Choice> choices) implements Kind {
        public Timed {
            choices = List.copyOf(choices);
        }

        @Override
        public void put(String field, String path, Worksheet sheet) {
            String seen = sheet.draft().text(field);
            if (!seen.isEmpty()) {
                sheet.amount(field + ".minutes", path + ".minutes", Quantity.PLAIN);
                sheet.truth(path + ".clear", seen.equals(choices.get(1).id()));
            }
        }

        @Override
        public Draft.Text text(JsonNode value, String asTyped) {
            return words(choices.get(value.path("clear").booleanValue() ? 1 : 2).id());
        }

        @Override
        public String said(JsonNode value, UnitChoice units) {
            return choices.get(value.path("clear").booleanValue() ? 1 : 2).words() + ", watched for "
                    + Amount.exact(value.path("minutes").doubleValue()) + " min";
        }
    }

    /**
     * Pairs of amounts in one line: {@code 0 640; 200 590}.
     *
     * @param first name of the component for the first of each
     * @param second likewise
     * @param usage what is said where it reads otherwise
     */
    record Pairs(String first, Quantity firstQuantity, String second, Quantity secondQuantity, String usage)
            implements Kind {
        @Override
        public void put(String field, String path, Worksheet sheet) {
            sheet.pairs(field, path, this);
        }

        @Override
        public Draft.Text text(JsonNode value, String asTyped) {
            return words(
                    asTyped != null
                            ? asTyped
                            : StreamSupport.stream(value.spliterator(), false)
                                    .map(pair -> Amount.exact(pair.path(first).doubleValue()) + " "
                                            + Amount.exact(pair.path(second).doubleValue()))
                                    .collect(Collectors.joining("; ")));
        }

        @Override
        public String said(JsonNode value, UnitChoice units) {
            return StreamSupport.stream(value.spliterator(), false)
                    .map(pair -> Amount.told(firstQuantity, pair.path(first).doubleValue())
                                    .text(units) + " at "
                            + Amount.told(secondQuantity, pair.path(second).doubleValue())
                                    .text(units))
                    .collect(Collectors.joining("; "));
        }
    }

    /** Several amounts of one kind in one line: {@code 7.02 7.05 6.98}. */
    record Many(Quantity quantity) implements Kind {

        /** Between semicolons where there are any, else between blanks; a unit goes with the number before it. */
        public static List<String> pieces(String text) {
            List<String> pieces = new ArrayList<>();
            for (String piece : text.split(text.contains(";") ? ";" : "\\s+")) {
                String one = piece.strip();
                if (one.isEmpty()) {
                    continue;
                }
                boolean unit = Character.isLetter(one.charAt(0)) || one.equals("\"");
                if (unit && !pieces.isEmpty()) {
                    pieces.set(pieces.size() - 1, pieces.get(pieces.size() - 1) + " " + one);
                } else {
                    pieces.add(one);
                }
            }
            return pieces;
        }

        @Override
        public void put(String field, String path, Worksheet sheet) {
            sheet.amounts(field, path, quantity);
        }

        @Override
        public Draft.Text text(JsonNode value, String asTyped) {
            List<Double> read = StreamSupport.stream(value.spliterator(), false)
                    .map(JsonNode::doubleValue)
                    .toList();
            return Draft.retypedAll(asTyped, read, quantity);
        }

        @Override
        public String said(JsonNode value, UnitChoice units) {
            return StreamSupport.stream(value.spliterator(), false)
                            .map(each ->
                                    Amount.told(quantity, each.doubleValue()).number(units))
                            .collect(Collectors.joining(" "))
                    + (quantity.unit(units).isEmpty() ? "" : " " + quantity.unit(units));
        }
    }
}
