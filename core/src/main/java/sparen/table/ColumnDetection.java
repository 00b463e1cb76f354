package sparen.table;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Finds out what the columns of a file hold and in which unit, by what is above them and by their numbers. */
final class ColumnDetection {
    private final Sample sample;
    private final TimeFormat time;
    private final String decimal;
    private final List<String> notes;

    ColumnDetection(Sample sample, TimeFormat time, String decimal, List<String> notes) {
        this.sample = sample;
        this.time = time;
        this.decimal = decimal;
        this.notes = notes;
    }

    List<Column> columns(FileKind kind) {
        List<Column> columns = new ArrayList<>();
        Set<Integer> taken = new HashSet<>(time.columns());
        List<Meaning> wanted = new ArrayList<>(kind.needed());
        wanted.addAll(kind.more());
        wanted.remove(Meaning.CONTACT);
        // What is said most narrowly first: "battery temperature" before "temperature".
        for (Meaning meaning : byNarrowness(wanted)) {
            List<Integer> likely = new ArrayList<>();
            for (int i = 0; i < sample.width; i++) {
                if (!taken.contains(i) && meaning.isNamed(sample.heading(i)) && isNumeric(i)) {
                    likely.add(i);
                }
            }
            if (likely.isEmpty()) {
                continue;
            }
            int best = likely.get(0);
            taken.add(best);
            columns.add(Column.of(best, meaning, unit(best, meaning)));
            for (int other : likely.subList(1, likely.size())) {
                notes.add("\"" + sample.heading(other) + "\" could be the " + meaning.words() + " too; \""
                        + sample.heading(best) + "\" was taken");
            }
        }
        if (kind == FileKind.CONSUMPTION && columns.isEmpty()) {
            onlyNumber(taken).ifPresent(only -> columns.add(Column.of(only, Meaning.POWER, unit(only, Meaning.POWER))));
        }
        return columns;
    }

    private static List<Meaning> byNarrowness(List<Meaning> wanted) {
        List<Meaning> narrowFirst = new ArrayList<>(wanted);
        narrowFirst.sort((one, other) -> Integer.compare(wide(one), wide(other)));
        return narrowFirst;
    }

    private static int wide(Meaning meaning) {
        return switch (meaning) {
            case AIR_CELSIUS, GLOBAL_LIGHT, POWER, BATTERY_VOLTS, BATTERY_AMPERES -> 1;
            default -> 0;
        };
    }

    private boolean isNumeric(int column) {
        return sample.rows.isEmpty() || sample.column(column).stream().anyMatch(Sample::isLikeNumber);
    }

    private Optional<Integer> onlyNumber(Set<Integer> taken) {
        List<Integer> numeric = new ArrayList<>();
        for (int i = 0; i < sample.width; i++) {
            if (!taken.contains(i) && isNumeric(i)) {
                numeric.add(i);
            }
        }
        return numeric.size() == 1 ? Optional.of(numeric.get(0)) : Optional.empty();
    }

    /** As the heading says; else the usual one of what it is, and what its numbers can only be. */
    private ColumnUnit unit(int column, Meaning meaning) {
        ColumnUnit usual = ColumnUnit.of(meaning.dimension())
                .get(ColumnUnit.of(meaning.dimension()).size() - 1);
        return ColumnUnit.saidIn(sample.heading(column), meaning.dimension())
                .orElseGet(() -> switch (meaning.dimension()) {
                    case SHARE -> most(column) > 1 ? ColumnUnit.PERCENT : ColumnUnit.FRACTION;
                    default -> usual;
                });
    }

    private double most(int column) {
        return sample.column(column).stream()
                .mapToDouble(field -> Numbers.orNaN(decimal.equals(",") ? field.replace(',', '.') : field))
                .filter(value -> !Double.isNaN(value))
                .max()
                .orElse(0);
    }
}
