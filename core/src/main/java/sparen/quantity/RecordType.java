package sparen.quantity;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;

/**
 * What is known of a record without looking at its class.
 *
 * @param kindOf the sealed types that it is a kind of
 * @param names of its components, in order
 * @param shapes what each component holds, in order
 * @param values of a record's components, in order
 * @param make a record of values in order; its compact constructor looks at them
 */
public record RecordType(
        Class<? extends Record> type,
        List<Class<?>> kindOf,
        List<String> names,
        List<Shape> shapes,
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

    /** Whether a class is a record that is known. */
    public static boolean isOne(Class<?> type) {
        return ALL.containsKey(type);
    }

    /** All records of the modules that are there, in the order of their names. */
    public static List<RecordType> all() {
        return ALL.values().stream()
                .sorted(Comparator.comparing(record -> record.type().getName()))
                .toList();
    }

    /** Of what type a component is, or what is in its optional or list; empty when there is none of that name. */
    public Optional<Class<?>> holds(String component) {
        int index = names.indexOf(component);
        return index < 0 ? Optional.empty() : Optional.of(shapes.get(index).type());
    }

    /** Whether a component is a list. */
    public boolean isList(String component) {
        int index = names.indexOf(component);
        return index >= 0 && shapes.get(index) instanceof Shape.Many;
    }
}
