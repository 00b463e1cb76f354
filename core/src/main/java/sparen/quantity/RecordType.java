package sparen.quantity;

import java.util.List;
import java.util.Map;
import java.util.ServiceLoader;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;

/**
 * What is known of a record without looking at its class.
 *
 * @param names of its components, in order
 * @param values of a record's components, in order
 * @param make a record of values in order; its compact constructor looks at them
 */
public record RecordType(
        Class<? extends Record> type,
        List<String> names,
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
        RecordType type = ALL.get(record.getClass());
        if (type == null) {
            throw new IllegalArgumentException(record.getClass().getName()
                    + " is in no table of records: make it public, in a module that is compiled with -Arecords");
        }
        return type;
    }
}
