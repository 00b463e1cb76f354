package sparen.export;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.StringWriter;
import java.util.Arrays;
import java.util.function.Consumer;
import java.util.regex.Pattern;

/**
 * A table as text: comma-separated, RFC 4180. A name that a spreadsheet would take for a formula stands behind an apostrophe (OWASP, CSV
 * injection, from memory); numbers stay numbers.
 */
public final class Csv {
    private static final Pattern FORMULA = Pattern.compile("[=+\\-@\\t\\r].*", Pattern.DOTALL);
    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d[\\d.]*([eE][+-]?\\d+)?");

    private final CsvWriter writer;

    private Csv(CsvWriter writer) {
        this.writer = writer;
    }

    /** A table of some rows. */
    public static String of(Consumer<Csv> rows) {
        StringWriter text = new StringWriter();
        rows.accept(new Csv(CsvWriter.builder().bufferSize(0).build(text)));
        return text.toString();
    }

    /** Adds a row. */
    public void writeRecord(String... cells) {
        writeRecord(Arrays.asList(cells));
    }

    /** Adds a row. */
    public void writeRecord(Iterable<String> cells) {
        CsvWriter.CsvWriterRecord row = writer.writeRecord();
        cells.forEach(cell -> row.writeField(plain(cell)));
        row.endRecord();
    }

    private static String plain(String cell) {
        boolean isFormula = cell != null
                && FORMULA.matcher(cell).matches()
                && !NUMBER.matcher(cell).matches();
        return isFormula ? "'" + cell : cell;
    }
}
