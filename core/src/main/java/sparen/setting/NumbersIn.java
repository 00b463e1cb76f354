package sparen.setting;

import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import sparen.quantity.Fields;

/** The numbers of a part of a plan, however deep, each by its path within the part; what has an id is a part of its own. */
final class NumbersIn {
    private final BiConsumer<String, Double> takes;

    private NumbersIn(BiConsumer<String, Double> takes) {
        this.takes = takes;
    }

    /** Gives all numbers of a record in its order, with names and places in lists joined by slashes. */
    static void each(Record record, BiConsumer<String, Double> takes) {
        new NumbersIn(takes).record("", record);
    }

    private void record(String path, Record record) {
        for (String name : Fields.names(record)) {
            value(path + name, Fields.at(record, name));
        }
    }

    private void value(String path, Object value) {
        if (value instanceof Optional<?> optional) {
            optional.ifPresent(inner -> value(path, inner));
        } else if (value instanceof Double number) {
            takes.accept(path, number);
        } else if (value instanceof List<?> list) {
            for (int i = 0; i < list.size(); i++) {
                value(path + "/" + i, list.get(i));
            }
        } else if (value instanceof Record record && !Fields.has(record, "id")) {
            record(path + "/", record);
        }
    }
}
