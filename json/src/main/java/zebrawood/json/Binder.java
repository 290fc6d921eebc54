package zebrawood.json;

import com.fasterxml.jackson.databind.JsonNode;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.reading.RecordShape;
import zebrawood.core.reading.Refusal;

/**
 * Makes a record of a JSON tree, or refuses it: no missing number is read as 0, no {@code 4.7} cut to 4, no
 * {@code "3.2"} taken for a number, no {@code 1e999}, no unknown key. It gathers every refusal with its full path, in
 * the order: unknown keys, then component by component, then what ties readings together.
 */
public final class Binder {

    private final List<Refusal> refusals = new ArrayList<>();
    /** takes what is not known instead of refusing it, where that is wanted */
    private final Optional<Consumer<String>> unknown;

    private Binder(Optional<Consumer<String>> unknown) {
        this.unknown = unknown;
    }

    /** @throws ReadingException with every refusal, the first one first */
    public static <R extends Record> R bind(JsonNode node, Class<R> type) {
        return bind(node, type, Optional.empty());
    }

    /**
     * A record of what was stored, perhaps by a newer program: keys that are not known here are left out and told.
     *
     * @param unknown takes the path of each key that is not known
     * @throws ReadingException with every other refusal, the first one first
     */
    public static <R extends Record> R bindStored(JsonNode node, Class<R> type, Consumer<String> unknown) {
        return bind(node, type, Optional.of(unknown));
    }

    private static <R extends Record> R bind(JsonNode node, Class<R> type, Optional<Consumer<String>> unknown) {
        Binder binder = new Binder(unknown);
        Object made = binder.value(node, type, Spot.TOP);
        if (!binder.refusals.isEmpty()) {
            throw new ReadingException(binder.refusals.stream()
                    .sorted(Comparator.comparingInt(Binder::rank))
                    .toList());
        }
        return type.cast(made);
    }

    private static int rank(Refusal refusal) {
        return switch (refusal.kind()) {
            case SYNTAX -> 0;
            case UNKNOWN -> 1;
            case MISSING, WRONG -> 2;
            case TIED -> 3;
        };
    }

    /** The value, or a stand-in that no constructor takes (NaN, null) when it was refused. */
    private Object value(JsonNode node, Type type, Spot path) {
        if (type instanceof ParameterizedType generic) {
            return generic(node, generic, path);
        }
        Class<?> plain = (Class<?>) type;
        boolean absent = node == null || node.isNull();
        if (plain == OptionalDouble.class) {
            return absent ? none(node, path, OptionalDouble.empty()) : optional(number(node, path));
        } else if (plain == OptionalInt.class) {
            return absent
                    ? none(node, path, OptionalInt.empty())
                    : whole(node, path).map(OptionalInt::of).orElse(OptionalInt.empty());
        } else if (absent) {
            refuse(
                    path,
                    node == null ? "is missing" : "null is no value; leave the name out where the value is not known",
                    node == null ? Refusal.Kind.MISSING : Refusal.Kind.WRONG);
            return standIn(plain);
        } else if (plain == double.class || plain == Double.class) {
            return number(node, path);
        } else if (plain == int.class || plain == Integer.class) {
            return whole(node, path).orElse(0);
        } else if (plain == long.class) {
            return (long) number(node, path);
        } else if (plain == boolean.class || plain == Boolean.class) {
            return truth(node, path);
        } else if (plain == String.class) {
            return text(node, path);
        } else if (plain == Instant.class) {
            return instant(node, path);
        } else if (plain == LocalDate.class) {
            return day(node, path);
        } else if (plain.isEnum()) {
            return constant(node, plain, path);
        }
        return record(node, plain, path);
    }

    private Object generic(JsonNode node, ParameterizedType type, Spot path) {
        Type inner = type.getActualTypeArguments()[0];
        Class<?> raw = (Class<?>) type.getRawType();
        if (raw == Optional.class) {
            return node == null || node.isNull()
                    ? none(node, path, Optional.empty())
                    : Optional.ofNullable(value(node, inner, path));
        } else if (raw == List.class) {
            return list(node, inner, path);
        } else if (raw == Map.class || raw == SortedMap.class) {
            return map(node, inner, type.getActualTypeArguments()[1], path);
        }
        throw new IllegalArgumentException("no binding for " + type);
    }

    private Object list(JsonNode node, Type inner, Spot path) {
        List<Object> list = new ArrayList<>();
        if (node == null) {
            return list;
        }
        if (!node.isArray()) {
            refuse(path, "must be a list", Refusal.Kind.WRONG);
            return null;
        }
        int before = refusals.size();
        for (int i = 0; i < node.size(); i++) {
            list.add(value(node.get(i), inner, path.item(i)));
        }
        return refusals.size() > before ? null : list;
    }

    private Object map(JsonNode node, Type keys, Type values, Spot path) {
        Map<Object, Object> map = keys == Integer.class ? new TreeMap<>() : new LinkedHashMap<>();
        if (node != null && node.isObject()) {
            node.properties()
                    .forEach(field -> map.put(
                            keys == Integer.class ? Integer.valueOf(field.getKey()) : field.getKey(),
                            value(field.getValue(), values, path.field(field.getKey()))));
        }
        return map;
    }

    private Object record(JsonNode node, Class<?> type, Spot path) {
        if (!node.isObject()) {
            refusals.add(new Refusal(path.isTop() ? "$" : path.toString(), "must be an object", Refusal.Kind.WRONG));
            return null;
        }
        int before = refusals.size();
        RecordShape shape = RecordShape.of(type);
        List<RecordShape.Component> components = shape.components();
        Object[] values = new Object[components.size()];
        int known = 0;
        for (int i = 0; i < values.length; i++) {
            String name = components.get(i).name();
            JsonNode part = node.get(name);
            known += part == null ? 0 : 1;
            values[i] = value(part, components.get(i).type(), path.field(name));
        }
        if (known < node.size()) {
            unknownKeys(node, shape, path);
        }
        return make(shape, values, path, before);
    }

    /** Runs the constructor even when a component was refused, to hear what it says of the others. */
    private Object make(RecordShape shape, Object[] values, Spot path, int before) {
        boolean whole = refusals.size() == before
                || refusals.subList(before, refusals.size()).stream().allMatch(r -> r.kind() == Refusal.Kind.UNKNOWN);
        try {
            return shape.make(values);
        } catch (ReadingException refused) {
            List<Refusal> mine = refusals.subList(before, refusals.size());
            for (Refusal refusal : refused.refusals()) {
                Refusal full = path.isTop() ? refusal : refusal.under(path.toString());
                boolean told = mine.stream()
                        .anyMatch(r -> r.field().equals(full.field())
                                || r.field().startsWith(full.field() + ".")
                                || r.field().startsWith(full.field() + "["));
                if (!told && (whole || refusal.kind() != Refusal.Kind.TIED)) {
                    mine.add(full);
                }
            }
            inOrderOfComponents(mine, shape, path);
            return null;
        } catch (NullPointerException unfinished) {
            if (whole) {
                throw unfinished;
            }
            return null;
        }
    }

    private static void inOrderOfComponents(List<Refusal> refusals, RecordShape shape, Spot path) {
        List<String> names =
                shape.components().stream().map(RecordShape.Component::name).toList();
        int skipped = path.isTop() ? 0 : path.toString().length() + 1;
        refusals.sort(Comparator.comparingInt(refusal -> {
            String inner = refusal.field().substring(skipped);
            return names.indexOf(inner.split("[.\\[]", 2)[0]);
        }));
    }

    private void unknownKeys(JsonNode node, RecordShape shape, Spot path) {
        for (Iterator<String> keys = node.fieldNames(); keys.hasNext(); ) {
            String key = keys.next();
            if (shape.components().stream()
                    .noneMatch(component -> component.name().equals(key))) {
                Spot at = path.field(key);
                unknown.ifPresentOrElse(
                        taker -> taker.accept(at.toString()),
                        () -> refuse(at, "is not known here", Refusal.Kind.UNKNOWN));
            }
        }
    }

    private double number(JsonNode node, Spot path) {
        if (!node.isNumber()) {
            refuse(
                    path,
                    node.isTextual() ? "this is text; a number is needed" : "a number is needed",
                    Refusal.Kind.WRONG);
            return Double.NaN;
        }
        if (!Double.isFinite(node.doubleValue())) {
            refuse(path, "must be a finite number", Refusal.Kind.WRONG);
            return Double.NaN;
        }
        return node.doubleValue();
    }

    private Optional<Integer> whole(JsonNode node, Spot path) {
        double number = number(node, path);
        if (Double.isNaN(number)) {
            return Optional.empty();
        }
        if (number != Math.rint(number) || Math.abs(number) > Integer.MAX_VALUE) {
            refuse(path, "must be a whole number", Refusal.Kind.WRONG);
            return Optional.empty();
        }
        return Optional.of((int) number);
    }

    private Object truth(JsonNode node, Spot path) {
        if (!node.isBoolean()) {
            refuse(path, "must be true or false", Refusal.Kind.WRONG);
            return false;
        }
        return node.booleanValue();
    }

    private String text(JsonNode node, Spot path) {
        if (!node.isTextual()) {
            refuse(path, "must be text", Refusal.Kind.WRONG);
            return null;
        }
        String text = node.textValue();
        if (!isWhole(text)) {
            refuse(path, "holds half of a character; send it as UTF-8", Refusal.Kind.WRONG);
            return null;
        }
        return text;
    }

    /** Whether every surrogate in the text has its other half. */
    private static boolean isWhole(String text) {
        for (int i = 0; i < text.length(); i++) {
            if (Character.isHighSurrogate(text.charAt(i))
                    && i + 1 < text.length()
                    && Character.isLowSurrogate(text.charAt(i + 1))) {
                i++;
            } else if (Character.isSurrogate(text.charAt(i))) {
                return false;
            }
        }
        return true;
    }

    private Instant instant(JsonNode node, Spot path) {
        try {
            return Times.instant(node.asText());
        } catch (DateTimeParseException e) {
            refuse(path, "must be a time such as 2031-03-14T09:30:00Z", Refusal.Kind.WRONG);
            return null;
        }
    }

    private LocalDate day(JsonNode node, Spot path) {
        try {
            return LocalDate.parse(node.asText());
        } catch (DateTimeParseException e) {
            refuse(path, "must be a day such as 2031-03-14", Refusal.Kind.WRONG);
            return null;
        }
    }

    private Object constant(JsonNode node, Class<?> type, Spot path) {
        Enum<?>[] constants = (Enum<?>[]) type.getEnumConstants();
        for (Enum<?> constant : constants) {
            if (node.isTextual() && Names.is(constant, node.textValue())) {
                return constant;
            }
        }
        refuse(
                path,
                "must be one of " + Arrays.stream(constants).map(Names::of).collect(Collectors.joining(", ")),
                Refusal.Kind.WRONG);
        return null;
    }

    private Object none(JsonNode node, Spot path, Object empty) {
        if (node != null) {
            refuse(path, "null is no value; leave the name out where the value is not known", Refusal.Kind.WRONG);
        }
        return empty;
    }

    private static OptionalDouble optional(double number) {
        return Double.isNaN(number) ? OptionalDouble.empty() : OptionalDouble.of(number);
    }

    private static Object standIn(Class<?> type) {
        if (type == double.class) {
            return Double.NaN;
        } else if (type == int.class) {
            return 0;
        } else if (type == long.class) {
            return 0L;
        }
        return type == boolean.class ? (Object) false : null;
    }

    private void refuse(Spot at, String why, Refusal.Kind kind) {
        refusals.add(new Refusal(at.toString(), why, kind));
    }
}
