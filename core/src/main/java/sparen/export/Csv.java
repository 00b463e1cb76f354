package sparen.export;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.StringWriter;
import java.util.function.Consumer;

/** A table as text: comma-separated, RFC 4180. */
final class Csv {
    private Csv() {}

    static String of(Consumer<CsvWriter> rows) {
        StringWriter text = new StringWriter();
        rows.accept(CsvWriter.builder().bufferSize(0).build(text));
        return text.toString();
    }
}
