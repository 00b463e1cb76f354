package sparen.browser;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import sparen.check.Finding;
import sparen.device.Knob;
import sparen.device.NumberKnob;
import sparen.examined.Cure;
import sparen.quantity.InvalidQuantity;
import sparen.quantity.Place;
import sparen.quantity.RecordType;
import sparen.quantity.Shape;
import sparen.question.Kinds;

/**
 * Records of the core as trees of what JSON knows (maps, lists, texts, numbers, yes and no) and back, as strictly as a server reads them. What
 * is absent is left out; a number that is none stands as the text NaN.
 */
final class Trees {
    private static final String KIND = "kind";
    /** Of a record that is a kind of something, what JSON calls it. */
    private static final Map<Class<?>, String> KIND_OF = kindOf();

    private Trees() {}

    private static Map<Class<?>, String> kindOf() {
        Map<Class<?>, String> names = new HashMap<>();
        Kinds.ALL.values().forEach(kinds -> kinds.forEach((name, kind) -> names.put(kind, name)));
        return names;
    }

    /** A value as a tree; empty optionals are null. */
    static Object write(Object value) {
        if (value instanceof Optional<?> optional) {
            return optional.map(Trees::write).orElse(null);
        } else if (value instanceof OptionalDouble optional) {
            return optional.isPresent() ? write(optional.getAsDouble()) : null;
        } else if (value instanceof Double number) {
            return number.isNaN() || number.isInfinite() ? number.toString() : number;
        } else if (value instanceof Number number) {
            return number.doubleValue();
        } else if (value instanceof double[] numbers) {
            List<Object> list = new ArrayList<>(numbers.length);
            for (double number : numbers) {
                list.add(write(number));
            }
            return list;
        } else if (value instanceof Iterable<?> several) {
            List<Object> list = new ArrayList<>();
            several.forEach(one -> list.add(write(one)));
            return list;
        } else if (value instanceof Map<?, ?> map) {
            Map<String, Object> named = new LinkedHashMap<>();
            map.forEach((key, one) -> named.put(name(key), write(one)));
            return named;
        } else if (value instanceof Cure cure) {
            return Map.of("says", cure.says());
        } else if (value instanceof Record record) {
            return record(record);
        } else if (value instanceof Boolean || value == null) {
            return value;
        }
        return name(value);
    }

    private static String name(Object value) {
        return value instanceof Enum<?> constant ? constant.name() : value.toString();
    }

    private static Map<String, Object> record(Record record) {
        RecordType type = RecordType.of(record);
        Object[] values = type.values().apply(record);
        Map<String, Object> fields = new LinkedHashMap<>();
        String kind = KIND_OF.get(type.type());
        if (kind != null) {
            fields.put(KIND, kind);
        }
        for (int i = 0; i < values.length; i++) {
            Object value = write(values[i]);
            if (value != null) {
                fields.put(type.names().get(i), value);
            }
        }
        if (record instanceof Finding finding) {
            fields.put("open", finding.isOpen());
        }
        return fields;
    }

    /** A place in a tree, written only where something is refused there. */
    private record At(At above, Object step) {
        static final At TOP = new At(null, "");

        At then(Object next) {
            return new At(this, next);
        }

        Refused refused(String detail) {
            return new Refused(pointer(), detail);
        }

        private String pointer() {
            return above == null ? "" : above.pointer() + "/" + Place.escaped(step.toString());
        }
    }

    /**
     * A record from a tree.
     *
     * @throws Refused at the first field that cannot be taken, entries of lists by their ids
     */
    static <T> T read(Class<T> type, Object tree) {
        try {
            return type.cast(value(type, tree, At.TOP));
        } catch (Refused refused) {
            throw new Refused(Place.withIds(tree, refused.pointer()), refused.getMessage());
        }
    }

    private static Object shaped(Shape shape, Object tree, At at) {
        if (shape instanceof Shape.Maybe maybe) {
            return tree == null ? Optional.empty() : Optional.of(shaped(maybe.of(), tree, at));
        } else if (tree == null) {
            if (shape.type().isPrimitive()) {
                throw at.refused(expected(shape.type()));
            }
            return null;
        } else if (shape instanceof Shape.Many many) {
            return list(many, tree, at);
        } else if (shape instanceof Shape.Named named) {
            return named(named, tree, at);
        }
        return value(shape.type(), tree, at);
    }

    private static List<Object> list(Shape.Many shape, Object tree, At at) {
        List<Object> read = new ArrayList<>();
        for (Object one : as(List.class, tree, at)) {
            At entry = at.then(read.size());
            read.add(shaped(shape.of(), there(one, entry), entry));
        }
        return read;
    }

    private static Map<Object, Object> named(Shape.Named shape, Object tree, At at) {
        Map<Object, Object> read = new LinkedHashMap<>();
        Map<?, ?> object = as(Map.class, tree, at);
        for (Map.Entry<?, ?> one : object.entrySet()) {
            At entry = at.then(one.getKey());
            read.put(value(shape.key(), one.getKey(), entry), shaped(shape.of(), there(one.getValue(), entry), entry));
        }
        return read;
    }

    private static Object there(Object one, At at) {
        if (one == null) {
            throw at.refused("nothing (null) stands here where an entry is expected");
        }
        return one;
    }

    private static Object value(Class<?> type, Object tree, At at) {
        if (type == double.class || type == Double.class) {
            return as(Double.class, tree, at);
        } else if (type == String.class) {
            return as(String.class, tree, at);
        } else if (type == boolean.class || type == Boolean.class) {
            return as(Boolean.class, tree, at);
        } else if (type == int.class || type == Integer.class) {
            return (int) whole(tree, at, Integer.MAX_VALUE);
        } else if (type == long.class || type == Long.class) {
            return whole(tree, at, 1L << 53);
        } else if (RecordType.isOne(type)) {
            return record(RecordType.of(type), as(Map.class, tree, at), at);
        } else if (type.isEnum()) {
            return constant(type, tree, at);
        } else if (type == double[].class) {
            List<?> numbers = as(List.class, tree, at);
            return numbers.stream()
                    .mapToDouble(one -> "NaN".equals(one) ? Double.NaN : as(Double.class, one, at))
                    .toArray();
        }
        Map<String, Class<?>> kinds = Kinds.ALL.get(type);
        return kinds == null ? told(type, as(String.class, tree, at), at) : ofAKind(type, kinds, tree, at);
    }

    private static Object ofAKind(Class<?> type, Map<String, Class<?>> kinds, Object tree, At at) {
        Class<?> record = tree instanceof Map<?, ?> map ? kinds.get(kind(type, map)) : null;
        if (record == null) {
            throw at.refused("an object with \"kind\" one of " + List.copyOf(kinds.keySet()) + " is expected here");
        }
        return value(record, tree, at);
    }

    /** Once every entry of a device's menu was a number. */
    private static Object kind(Class<?> type, Map<?, ?> tree) {
        Object kind = tree.get(KIND);
        return kind == null && type == Knob.class ? KIND_OF.get(NumberKnob.class) : kind;
    }

    private static Object told(Class<?> type, String text, At at) {
        try {
            if (type == Instant.class) {
                return Instant.parse(text);
            } else if (type == LocalDate.class) {
                return LocalDate.parse(text);
            } else if (type == LocalTime.class) {
                return LocalTime.parse(text);
            } else if (type == ZoneId.class) {
                return ZoneId.of(text);
            } else if (type == UUID.class) {
                return UUID.fromString(text);
            }
        } catch (DateTimeException | IllegalArgumentException e) {
            throw at.refused(e.getMessage());
        }
        throw new IllegalStateException(type.getName() + " is nothing that is read here");
    }

    private static Object record(RecordType type, Map<?, ?> tree, At at) {
        Object[] values = new Object[type.names().size()];
        int taken = KIND_OF.containsKey(type.type()) && tree.containsKey(KIND) ? 1 : 0;
        for (int i = 0; i < values.length; i++) {
            String name = type.names().get(i);
            taken += tree.containsKey(name) && !name.equals(KIND) ? 1 : 0;
            values[i] = shaped(type.shapes().get(i), tree.get(name), at.then(name));
        }
        if (taken < tree.size()) {
            refuseUnknown(type, tree, at);
        }
        try {
            return type.make().apply(values);
        } catch (InvalidQuantity invalid) {
            At field = at;
            for (String step : invalid.field().split("\\.")) {
                field = field.then(step);
            }
            throw field.refused(invalid.getMessage());
        }
    }

    private static void refuseUnknown(RecordType type, Map<?, ?> tree, At at) {
        for (Object field : tree.keySet()) {
            boolean isKind = field.equals(KIND) && KIND_OF.containsKey(type.type());
            if (!isKind && !type.names().contains(field)) {
                throw at.then(field).refused("there is no field \"" + field + "\" here; known are " + type.names());
            }
        }
    }

    private static Object constant(Class<?> type, Object tree, At at) {
        for (Object constant : type.getEnumConstants()) {
            if (((Enum<?>) constant).name().equals(tree)) {
                return constant;
            }
        }
        throw at.refused(expected(type));
    }

    private static long whole(Object tree, At at, long most) {
        double number = as(Double.class, tree, at);
        if (number != Math.rint(number) || Math.abs(number) > most) {
            throw at.refused("a whole number is expected here");
        }
        return (long) number;
    }

    private static <T> T as(Class<T> type, Object tree, At at) {
        if (!type.isInstance(tree)) {
            throw at.refused(expected(type));
        }
        return type.cast(tree);
    }

    private static String expected(Class<?> type) {
        String what = type.isEnum()
                ? "one of " + List.of(type.getEnumConstants())
                : type == boolean.class || type == Boolean.class
                        ? "true or false"
                        : type == String.class
                                ? "a text"
                                : type == List.class ? "a list" : type == Map.class ? "an object" : "a number";
        return what + " is expected here";
    }
}
