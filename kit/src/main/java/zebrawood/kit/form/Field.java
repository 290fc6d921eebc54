package zebrawood.kit.form;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;

/**
 * One thing that is read at a stop. Its name and its label stand here and nowhere else: forms, tables, messages and
 * tests take them from here.
 *
 * @param name of its component in the readings, path and all: {@code bottle.volumeL}
 * @param label over the field, and beside the value in tables
 * @param kind what can stand in it
 * @param usual what stands in it, pale, while nothing is typed
 * @param asked when it is asked for
 */
public record Field(String name, String label, Kind kind, Usual usual, Set<Asked> asked) {

    /** When a field is asked for. */
    public enum Asked {
        /** without it there is no finding */
        NEEDED,
        /** needed as soon as something stands in another field of the same part of the readings */
        TOGETHER,
        /** read anew each time: what it was the last time is not filled in */
        ANEW,
        /** the bench puts it into the readings itself */
        OWN,
        /** it stands in the drawing, where it is measured */
        PINNED
    }

    /** What is said in an empty field: words, or an amount in the units that are shown. */
    public record Usual(String words, Optional<Amount> amount) {
        static final Usual NOTHING = new Usual("", Optional.empty());

        String in(UnitChoice units) {
            return amount.map(usual -> usual.number(units)).orElse(words);
        }
    }

    public Field {
        asked = Set.copyOf(asked);
    }

    private static Field of(String name, String label, Kind kind) {
        return new Field(name, label, kind, Usual.NOTHING, Set.of());
    }

    /** An amount. */
    public static Field amount(String name, String label, Quantity quantity) {
        return of(name, label, new Kind.Number(quantity));
    }

    /** Several amounts in one line. */
    public static Field many(String name, String label, Quantity quantity) {
        return of(name, label, new Kind.Many(quantity));
    }

    /** Words. */
    public static Field words(String name, String label) {
        return of(name, label, new Kind.Words(false));
    }

    /** Words that take what is left of their line. */
    public static Field line(String name, String label) {
        return of(name, label, new Kind.Words(true));
    }

    /** One of a few words; the first one where nothing is chosen. */
    public static Field oneOf(String name, String label, List<Choice> choices) {
        return of(name, label, new Kind.OneOf(choices));
    }

    /** One of a few whole numbers, the first of which is usual and has an empty id. */
    public static Field count(String name, String label, List<Choice> choices) {
        return of(name, label, new Kind.Count(choices));
    }

    /** What is looked at and is so or not. */
    public static Field truth(String name, String label, String notSeen, String yes, String no) {
        return of(name, label, new Kind.Truth(notSeen, yes, no));
    }

    /** So, which is usual, or not. */
    public static Field either(String name, String label, Choice so, Choice not) {
        return of(name, label, new Kind.Either(so, not));
    }

    /** Something to be watched for some minutes, and what was seen: nothing yet, what is good, what is not. */
    public static Field timed(String name, String label, int minutes, Choice notYet, Choice good, Choice bad) {
        return of(name, label, new Kind.Timed(minutes, List.of(notYet, good, bad)));
    }

    /** Pairs of amounts in one line. */
    public static Field pairs(String name, String label, Kind.Pairs kind) {
        return of(name, label, kind);
    }

    /** What is said in it while it is empty. */
    public Field empty(String words) {
        return new Field(name, label, kind, new Usual(words, Optional.empty()), asked);
    }

    /** The amount that counts while it is empty. */
    public Field usually(Amount amount) {
        return new Field(name, label, kind, new Usual("", Optional.of(amount)), asked);
    }

    /** This field, asked for before there is a finding, in the order of the list. */
    public Field needed() {
        return asked(Asked.NEEDED);
    }

    /** This field, asked for as soon as another field of the same part is filled in. */
    public Field together() {
        return asked(Asked.TOGETHER);
    }

    /** This field, read anew each time: empty when a stop is gone through again. */
    public Field anew() {
        return asked(Asked.ANEW);
    }

    /** This field, put into the readings by the bench itself. */
    public Field own() {
        return asked(Asked.OWN);
    }

    /** This field, standing in the drawing where it is measured. */
    public Field pinned() {
        return asked(Asked.PINNED);
    }

    private Field asked(Asked... when) {
        Set<Asked> all = EnumSet.copyOf(Arrays.asList(when));
        all.addAll(asked);
        return new Field(name, label, kind, usual, all);
    }

    /** Whether it is asked for in this way. */
    public boolean is(Asked when) {
        return asked.contains(when);
    }

    /** The part of the readings it belongs to: {@code bottle}; empty for the whole. */
    String part() {
        int dot = name.lastIndexOf('.');
        return dot < 0 ? "" : name.substring(0, dot);
    }

    /** Over a column: with the unit, where that is the same whatever units are shown. */
    String columnHead() {
        Quantity quantity = kind.quantity();
        boolean turns = quantity == Quantity.LENGTH || quantity == Quantity.TEMPERATURE || quantity == Quantity.WARMTH;
        return turns || quantity.baseUnit().isEmpty() ? label : label + ", " + quantity.baseUnit();
    }
}
