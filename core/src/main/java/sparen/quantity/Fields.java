package sparen.quantity;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Changes records by the names of their components. */
public final class Fields {
    private static final int MOST_DIGITS = 6;

    private Fields() {}

    /**
     * A copy of a record with one component changed; its compact constructor looks at it anew.
     *
     * @throws IllegalArgumentException when it has no such component
     * @throws InvalidQuantity when the record refuses the value
     */
    @SuppressWarnings("unchecked")
    public static <R> R with(R record, String component, Object value) {
        RecordType type = RecordType.of((Record) record);
        Object[] values = type.values().apply((Record) record);
        values[index(type, component)] = value;
        return (R) type.make().apply(values);
    }

    /** Whether a record has a component of that name. */
    public static boolean has(Record record, String component) {
        return RecordType.of(record).names().contains(component);
    }

    /** The names of a record's components, in order. */
    public static List<String> names(Record record) {
        return RecordType.of(record).names();
    }

    /**
     * The value of a record's component.
     *
     * @throws IllegalArgumentException when it has no such component
     */
    public static Object get(Record record, String component) {
        RecordType type = RecordType.of(record);
        return type.values().apply(record)[index(type, component)];
    }

    private static int index(RecordType type, String component) {
        int index = type.names().indexOf(component);
        if (index < 0) {
            throw new IllegalArgumentException(type.type().getSimpleName() + " has no component \"" + component + "\"");
        }
        return index;
    }

    /**
     * What stands at a {@link Place}, such as {@code program/outputs/radio/protection}; an
     * optional is looked into.
     *
     * @return null where there is nothing
     */
    public static Object at(Object root, String path) {
        Object found = root;
        for (String step : Place.steps(path)) {
            if (found instanceof Record record) {
                found = has(record, step) ? plain(get(record, step)) : null;
            } else if (found instanceof List<?> list) {
                int index = indexIn(list, step);
                found = index < 0 ? null : list.get(index);
            } else {
                return null;
            }
        }
        return found;
    }

    /**
     * A copy with what stands at a path replaced.
     *
     * @throws IllegalArgumentException when there is no such place
     * @throws InvalidQuantity when a record refuses the value
     */
    @SuppressWarnings("unchecked")
    public static <R> R withAt(R root, String path, Object value) {
        int end = path.indexOf('/');
        String step = end < 0 ? path : path.substring(0, end);
        String rest = end < 0 ? "" : path.substring(end + 1);
        if (root instanceof Optional<?> optional) {
            return (R) Optional.of(withAt(optional.orElseThrow(), path, value));
        }
        if (root instanceof List<?> list) {
            int index = indexIn(list, step);
            if (index < 0) {
                throw new IllegalArgumentException("no entry \"" + step + "\"");
            }
            List<Object> copy = new ArrayList<>(list);
            copy.set(index, rest.isEmpty() ? value : withAt(list.get(index), rest, value));
            return (R) List.copyOf(copy);
        }
        Object old = get((Record) root, step);
        Object put = value;
        if (!rest.isEmpty()) {
            put = withAt(old, rest, value);
        } else if (old instanceof Optional) {
            put = Optional.ofNullable(value);
        }
        return with(root, step, put);
    }

    /** Which entry of a list a step names, by id, or by number where the entries have none; −1 for none. */
    private static int indexIn(List<?> list, String step) {
        for (int i = 0; i < list.size(); i++) {
            if (step.equals(Place.idOf(list.get(i)))) {
                return i;
            }
        }
        boolean isNumber = step.chars().allMatch(Character::isDigit) && step.length() <= MOST_DIGITS;
        int number = isNumber && !step.isEmpty() ? Integer.parseInt(step) : -1;
        return number < list.size() && number >= 0 && Place.idOf(list.get(number)) == null ? number : -1;
    }

    private static Object plain(Object value) {
        return value instanceof Optional<?> optional ? optional.orElse(null) : value;
    }
}
