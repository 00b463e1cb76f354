package sparen.table;

import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * A column of a file that is taken.
 *
 * @param index which it is, from 0, at most 499
 * @param meaning what it holds
 * @param unit in which; one that measures the same
 * @param part of which contact, the id of its output; only for contacts
 * @param missingFrom numbers from this on stand for nothing measured, in the unit of the column; absent where none do
 */
public record Column(int index, Meaning meaning, ColumnUnit unit, Optional<String> part, Optional<Double> missingFrom) {
    /** The most columns a file may have. */
    public static final int MOST = 500;

    public Column {
        Bounds.within("index", index, "columns", 0, MOST - 1.0);
        Bounds.present("meaning", meaning);
        Bounds.present("unit", unit);
        if (unit.dimension() != meaning.dimension()) {
            throw new InvalidQuantity(
                    "unit",
                    unit.symbol() + " is no unit of " + meaning.words() + "; it can be "
                            + ColumnUnit.of(meaning.dimension()).stream()
                                    .map(ColumnUnit::symbol)
                                    .toList());
        }
        part = Bounds.orEmpty(part);
        part.ifPresent(id -> Bounds.id("part", id));
        missingFrom = Bounds.optional("missingFrom", missingFrom, -1e6, 1e6);
    }

    /** A column in which every number counts. */
    public static Column of(int index, Meaning meaning, ColumnUnit unit) {
        return new Column(index, meaning, unit, Optional.empty(), Optional.empty());
    }
}
