package sparen.setting;

import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import sparen.device.MenuChoice;
import sparen.quantity.Fields;

/** The values of one sort in a part of a plan, however deep, each by its path within the part; what has an id is a part of its own. */
final class ValuesIn {
    private final Predicate<Object> sort;
    private final BiConsumer<String, Object> takes;

    private ValuesIn(Predicate<Object> sort, BiConsumer<String, Object> takes) {
        this.sort = sort;
        this.takes = takes;
    }

    /** Gives all numbers of a record in its order, with names and places in lists joined by slashes. */
    static void numbers(Record record, BiConsumer<String, Double> takes) {
        new ValuesIn(Double.class::isInstance, (path, value) -> takes.accept(path, (Double) value)).record("", record);
    }

    /** Gives all choices of a record in its order, as in documents: constants, and {@code true} and {@code false}. */
    static void words(Record record, BiConsumer<String, String> takes) {
        new ValuesIn(ValuesIn::isWord, (path, value) -> takes.accept(path, word(value))).record("", record);
    }

    /** Whether a value is a choice, or a yes or no, or some of what can be chosen together. */
    static boolean isWord(Object value) {
        return value instanceof Enum || value instanceof Boolean || isSeveral(value);
    }

    /** Whether it is some of what can be chosen together, such as weekdays; none of them is none. */
    static boolean isSeveral(Object value) {
        return value instanceof List<?> list
                && !list.isEmpty()
                && list.stream().allMatch(one -> one instanceof Enum || one instanceof Integer);
    }

    /** A choice as in documents; several in their own order with blanks between, {@link MenuChoice#ABSENT} for none of them. */
    static String word(Object value) {
        if (value instanceof List<?> list) {
            return list.isEmpty()
                    ? MenuChoice.ABSENT
                    : list.stream().distinct().sorted().map(ValuesIn::word).collect(Collectors.joining(" "));
        }
        return value instanceof Enum<?> constant ? constant.name() : String.valueOf(value);
    }

    private void record(String path, Record record) {
        for (String name : Fields.names(record)) {
            value(path + name, Fields.at(record, name));
        }
    }

    private void value(String path, Object value) {
        if (value instanceof Optional<?> optional) {
            optional.ifPresent(inner -> value(path, inner));
        } else if (sort.test(value)) {
            takes.accept(path, value);
        } else if (value instanceof List<?> list) {
            for (int i = 0; i < list.size(); i++) {
                value(path + "/" + i, list.get(i));
            }
        } else if (value instanceof Record record && !Fields.has(record, "id")) {
            record(path + "/", record);
        }
    }
}
