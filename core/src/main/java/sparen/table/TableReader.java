package sparen.table;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.time.ZoneId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;

/** Reads a file line by line by its layout; what cannot be read is told, and the lines after it are read all the same. */
public final class TableReader {
    /** Takes the lines of a file as they are read. */
    @FunctionalInterface
    public interface Rows {
        /**
         * Takes a line.
         *
         * @param line its number in the file, from 1
         * @param seconds its time (s): since 1 January 1970, or since the beginning of a file that only tells seconds
         * @param values of the columns that are taken, in their order, in the units that are reckoned with; NaN where nothing was
         *     measured. It is the same array again and again
         */
        void take(long line, double seconds, double[] values);
    }

    private final Layout layout;
    private final int mostLines;
    private final BadLines bad;
    private final Rows rows;
    private final TimeReader times;
    private final Numbers numbers;
    private final double[] values;
    private final int needed;
    private int lines;

    private TableReader(Layout layout, ZoneId site, int mostLines, BadLines bad, Rows rows) {
        this.layout = layout;
        this.mostLines = mostLines;
        this.bad = bad;
        this.rows = rows;
        times = new TimeReader(layout, site);
        numbers = new Numbers(layout);
        values = new double[layout.columns().size()];
        int last = layout.time().columns().stream()
                .mapToInt(Integer::intValue)
                .max()
                .orElse(0);
        for (Column column : layout.columns()) {
            last = Math.max(last, column.index());
        }
        needed = last + 1;
    }

    /**
     * Reads a file.
     *
     * @param reader its content; read once, line by line
     * @param site zone of times without an offset, where the layout has no other
     * @param mostLines that are taken; one more is refused, and nothing after it read
     * @param bad what cannot be read
     * @return what was taken how
     * @throws IOException when the reader fails
     */
    public static List<String> read(Reader reader, Layout layout, ZoneId site, int mostLines, BadLines bad, Rows rows)
            throws IOException {
        TableReader table = new TableReader(layout, site, mostLines, bad, rows);
        table.readAll(new BufferedReader(reader));
        List<String> notes = new ArrayList<>();
        if (table.times.hasMixedYears()) {
            notes.add("months of different years are taken as of " + table.times.year());
        }
        return notes;
    }

    private void readAll(BufferedReader reader) throws IOException {
        int before = layout.skippedLines() + layout.headingLines();
        for (int i = 0; i < before; i++) {
            if (reader.readLine() == null) {
                return;
            }
        }
        Deque<CsvRecord> held = new ArrayDeque<>();
        try (CsvReader<CsvRecord> csv = CsvReader.builder()
                .fieldSeparator(layout.separator().charAt(0))
                .skipEmptyLines(true)
                .allowExtraFields(true)
                .allowMissingFields(true)
                .ofCsvRecord(SingleBlanks.of(reader, layout.separator().charAt(0)))) {
            for (CsvRecord line : csv) {
                held.add(line);
                if (held.size() > layout.footerLines() && !take(held.remove(), before)) {
                    return;
                }
            }
        } catch (CsvParseException broken) {
            bad.refuse(before + lines + 1L, "cannot be split into columns: " + broken.getMessage());
        }
    }

    /** Takes a line; whether the next may be taken too. */
    private boolean take(CsvRecord line, int before) {
        long number = before + line.getStartingLineNumber();
        int fields = width(line);
        if (lines == mostLines) {
            bad.refuse(number, "more than " + mostLines + " lines");
            return false;
        }
        lines++;
        if (fields < needed || fields > layout.width()) {
            bad.refuse(number, fields + " columns; " + layout.width() + " are expected");
            return true;
        }
        int badBefore = bad.count();
        double time = time(number, line);
        for (int i = 0; i < values.length; i++) {
            Column column = layout.columns().get(i);
            values[i] = value(number, column, line.getField(column.index()).strip());
        }
        if (bad.count() == badBefore) {
            rows.take(number, time, values);
        }
        return true;
    }

    /** Without empty columns at the end that the layout does not have: some write a separator behind the last one too. */
    private int width(CsvRecord line) {
        int fields = line.getFieldCount();
        while (fields > layout.width() && line.getField(fields - 1).isBlank()) {
            fields--;
        }
        return fields;
    }

    private double time(long number, CsvRecord line) {
        try {
            return times.read(line);
        } catch (IllegalArgumentException wrong) {
            return bad.refuse(number, wrong.getMessage());
        }
    }

    private double value(long number, Column column, String field) {
        Meaning meaning = column.meaning();
        if (Numbers.isNothing(field)) {
            return Double.NaN;
        }
        if (column.unit() == ColumnUnit.YES_OR_NO) {
            Optional<Double> state = Numbers.state(field);
            return state.orElseGet(
                    () -> bad.refuse(number, meaning.words() + " \"" + field + "\" is neither on nor off"));
        }
        try {
            double raw = numbers.read(field);
            if (column.missingFrom().filter(from -> raw >= from).isPresent()) {
                return Double.NaN;
            }
            double own = column.unit().toOwn(raw);
            double most = column.unit().isPerStep() ? Double.MAX_VALUE : meaning.most();
            return own >= meaning.least() && own <= most ? own : bad.refuse(number, outside(column, field));
        } catch (NumberFormatException notANumber) {
            return bad.refuse(number, meaning.words() + " \"" + field + "\" is not a number");
        }
    }

    private static String outside(Column column, String field) {
        Meaning meaning = column.meaning();
        ColumnUnit own = ColumnUnit.of(meaning.dimension()).stream()
                .filter(unit -> !unit.isPerStep() && unit.toOwn(1) == 1)
                .findFirst()
                .orElse(column.unit());
        return meaning.words() + " " + field + " " + column.unit().symbol() + " is outside "
                + Bounds.number(meaning.least()) + " to " + Bounds.number(meaning.most()) + " " + own.symbol()
                + ": is the unit right?";
    }
}
