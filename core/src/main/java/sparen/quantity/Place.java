package sparen.quantity;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * How a place in a plan is written, everywhere: the names on the way to it joined by slashes, with the id for an entry of a list that
 * has one, such as {@code program/outputs/radio/protection/lvdVolts}; with a slash before it, it is a JSON Pointer (RFC 6901) whose
 * list indices are ids. Names and ids have no slashes.
 */
public final class Place {
    private static final List<String> IDS = List.of("id", "controller", "array");

    private Place() {}

    /** The names on the way. */
    public static List<String> steps(String place) {
        List<String> steps = new ArrayList<>();
        int from = 0;
        for (int slash = place.indexOf('/'); slash >= 0; slash = place.indexOf('/', from)) {
            steps.add(place.substring(from, slash));
            from = slash + 1;
        }
        if (from < place.length() || steps.isEmpty()) {
            steps.add(place.substring(from));
        }
        return steps;
    }

    /** Of a place below an output, that output's id; empty for any other place. */
    public static String outputOf(String place) {
        List<String> steps = steps(place);
        return steps.size() > 2 && place.startsWith("program/outputs/") ? steps.get(2) : "";
    }

    /** The id of a list's entry: its component id, or the controller or array that it belongs to; null for none. */
    public static String idOf(Object entry) {
        for (String field : IDS) {
            Object id = entry instanceof Record record && Fields.has(record, field)
                    ? Fields.get(record, field)
                    : entry instanceof Map<?, ?> map ? map.get(field) : null;
            if (id instanceof String text) {
                return text;
            }
        }
        return null;
    }

    /** A name as a step of a JSON Pointer writes it (RFC 6901, section 3): keys of origins, and ids that are refused, may have slashes. */
    public static String escaped(String name) {
        return name.replace("~", "~0").replace("/", "~1");
    }

    /**
     * A JSON Pointer with indices as one with ids: the one conversion there is.
     *
     * @param document it points into, as maps and lists
     * @param pointer as RFC 6901 has it; steps that lead nowhere, and entries without an id, stay as they are
     */
    public static String withIds(Object document, String pointer) {
        StringBuilder named = new StringBuilder();
        Object at = document;
        for (String step : pointer.isEmpty() ? List.<String>of() : steps(pointer.substring(1))) {
            Object next = null;
            String said = step;
            if (at instanceof Map<?, ?> map) {
                next = map.get(step.replace("~1", "/").replace("~0", "~"));
            } else if (at instanceof List<?> list && step.matches("\\d{1,9}") && Integer.parseInt(step) < list.size()) {
                next = list.get(Integer.parseInt(step));
                String id = idOf(next);
                said = id == null ? step : escaped(id);
            }
            named.append('/').append(said);
            at = next;
        }
        return named.toString();
    }
}
