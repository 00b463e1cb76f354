package sparen.quantity;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;

/**
 * What is known of a record without looking at its class.
 *
 * @param names of its components, in order
 * @param holds of what type each component is, in order; of an optional or a list, what is in it
 * @param lists the names of those that are lists
 * @param values of a record's components, in order
 * @param make a record of values in order; its compact constructor looks at them
 */
public record RecordType(
        Class<? extends Record> type,
        List<String> names,
        List<Class<?>> holds,
        Set<String> lists,
        Function<Record, Object[]> values,
        Function<Object[], Record> make) {
    private static final Map<Class<?>, RecordType> ALL = StreamSupport.stream(
                    ServiceLoader.load(RecordTypes.class, RecordType.class.getClassLoader())
                            .spliterator(),
                    false)
            .flatMap(module -> module.all().stream())
            .collect(Collectors.toUnmodifiableMap(RecordType::type, one -> one));

    /**
     * Of a record.
     *
     * @throws IllegalArgumentException for one that is not public
     */
    public static RecordType of(Record record) {
        return of(record.getClass());
    }

    /**
     * Of a class of records.
     *
     * @throws IllegalArgumentException for one that is not public, or no record
     */
    public static RecordType of(Class<?> record) {
        RecordType type = ALL.get(record);
        if (type == null) {
            throw new IllegalArgumentException(record.getName()
                    + " is in no table of records: make it public, in a module that is compiled with -Arecords");
        }
        return type;
    }

    /** Of what type a component is; empty when there is none of that name. */
    public Optional<Class<?>> holds(String component) {
        int index = names.indexOf(component);
        return index < 0 ? Optional.empty() : Optional.of(holds.get(index));
    }

    /** Whether a component is a list. */
    public boolean isList(String component) {
        return lists.contains(component);
    }
}
