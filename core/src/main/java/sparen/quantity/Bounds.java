package sparen.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** Bounds that the records of the model hold their components to. */
public final class Bounds {
    /** The longest an id may be (characters). */
    public static final int LONGEST_ID = 48;

    private static final Pattern ID = Pattern.compile("[a-z0-9][a-z0-9-]{0," + (LONGEST_ID - 1) + "}");
    private static final int LONGEST_NAME = 120;
    private static final MathContext DIGITS = new MathContext(12);

    private Bounds() {}

    /**
     * Refuses what is not a finite number from {@code least} to {@code most}, both included, in the unit that the field's name says.
     *
     * @throws InvalidQuantity naming field, value, unit and both bounds
     */
    public static void within(String field, double value, double least, double most) {
        if (!(value >= least && value <= most)) {
            within(field, value, unit(field), least, most);
        }
    }

    /**
     * Refuses what is not a finite number above {@code bound} and at most {@code most}, in the unit that the field's name says.
     *
     * @throws InvalidQuantity naming field, value, unit and both bounds
     */
    public static void above(String field, double value, double bound, double most) {
        if (!(value > bound && value <= most)) {
            above(field, value, unit(field), bound, most);
        }
    }

    /** A copy of a map that keeps its order, so that sums over it are the same on every machine; empty where the document left it out. */
    public static <K, V> Map<K, V> ordered(Map<K, V> map) {
        return map == null ? Map.of() : Collections.unmodifiableMap(new LinkedHashMap<>(map));
    }

    /** Refuses an optional number that is given and outside its bounds, both included, in the unit that the field's name says. */
    public static Optional<Double> optional(String field, Optional<Double> value, double least, double most) {
        Optional<Double> given = orEmpty(value);
        given.ifPresent(number -> within(field, number, least, most));
        return given;
    }

    private static String unit(String field) {
        return Unit.of(field.substring(field.lastIndexOf('.') + 1)).symbol();
    }

    /**
     * Refuses what is not a finite number from {@code least} to {@code most}, both included.
     *
     * @param unit for what is counted, such as cells
     * @throws InvalidQuantity naming field, value, unit and both bounds
     */
    public static void within(String field, double value, String unit, double least, double most) {
        if (!(value >= least && value <= most)) {
            throw new InvalidQuantity(
                    field, withUnit(value, unit) + " is outside " + number(least) + " to " + withUnit(most, unit));
        }
    }

    /**
     * Refuses what is not a finite number above {@code bound} and at most {@code most}.
     *
     * @throws InvalidQuantity naming field, value, unit and both bounds
     */
    public static void above(String field, double value, String unit, double bound, double most) {
        if (!(value > bound && value <= most)) {
            throw new InvalidQuantity(
                    field,
                    withUnit(value, unit) + " must be above " + number(bound) + " and at most " + withUnit(most, unit));
        }
    }

    /** Refuses a missing component. Records read from a document get null where the document is silent. */
    public static <T> T present(String field, T value) {
        if (value == null) {
            throw new InvalidQuantity(field, "is missing");
        }
        return value;
    }

    /** An optional component that the document left out is empty, never null. */
    public static <T> Optional<T> orEmpty(Optional<T> value) {
        return value == null ? Optional.empty() : value;
    }

    /** A copy of a list that must be there and have so many entries, both bounds included. */
    public static <T> List<T> list(String field, List<T> list, int least, int most) {
        List<T> copy = List.copyOf(present(field, list));
        within(field, copy.size(), "entries", least, most);
        return copy;
    }

    /** An optional list that the document left out is empty, never null; copied. */
    public static <T> List<T> orNone(List<T> list) {
        return list == null ? List.of() : List.copyOf(list);
    }

    /** Refuses an optional number that is given and outside its bounds, both included. */
    public static Optional<Double> optional(
            String field, Optional<Double> value, String unit, double least, double most) {
        Optional<Double> given = orEmpty(value);
        given.ifPresent(number -> within(field, number, unit, least, most));
        return given;
    }

    /** Refuses a name that is blank, longer than 120 characters, or of several lines. */
    public static void name(String field, String value) {
        if (value == null || value.isBlank() || value.length() > LONGEST_NAME || !isLine(value)) {
            throw new InvalidQuantity(
                    field,
                    "\"" + begin(value) + "\" must have 1 to " + LONGEST_NAME
                            + " characters in one line, not all blank");
        }
    }

    private static boolean isLine(String value) {
        return value.chars().noneMatch(Character::isISOControl);
    }

    /** Of what is far too long, what it begins with. */
    private static String begin(String value) {
        return value == null || value.length() <= LONGEST_NAME ? value : value.substring(0, LONGEST_NAME) + "…";
    }

    /** Refuses an optional name that is given and blank or longer than 120 characters. */
    public static Optional<String> name(String field, Optional<String> value) {
        Optional<String> given = orEmpty(value);
        given.ifPresent(name -> name(field, name));
        return given;
    }

    /** Refuses an id that is not 1 to 48 lower-case letters, digits and hyphens, starting with a letter or digit. */
    public static void id(String field, String value) {
        if (value == null || !ID.matcher(value).matches()) {
            throw new InvalidQuantity(
                    field,
                    "\"" + begin(value) + "\" must be 1 to " + LONGEST_ID
                            + " lower-case letters, digits or hyphens, like \"marker-light\"");
        }
    }

    /** Refuses ids that occur twice in a list. */
    public static void unique(String field, Collection<String> ids) {
        Set<String> seen = new HashSet<>();
        for (String id : ids) {
            if (!seen.add(id)) {
                throw new InvalidQuantity(field, "the id \"" + id + "\" occurs twice");
            }
        }
    }

    /** Refuses a reference to something that is not there. */
    public static void known(String field, String id, Collection<String> ids) {
        if (!ids.contains(id)) {
            throw new InvalidQuantity(field, "\"" + id + "\" is not one of " + ids);
        }
    }

    /** A number as a person writes it: no exponent, no trailing zeros, no more digits than twelve. */
    public static String number(double value) {
        return Double.isFinite(value)
                ? BigDecimal.valueOf(value).round(DIGITS).stripTrailingZeros().toPlainString()
                : Double.toString(value);
    }

    private static String withUnit(double value, String unit) {
        return unit.isEmpty() ? number(value) : number(value) + " " + unit;
    }
}
