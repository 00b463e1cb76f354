package sparen.cli;

import java.io.PrintWriter;
import java.util.List;
import java.util.function.Function;
import picocli.CommandLine.Option;
import sparen.document.Documents;
import tools.jackson.databind.json.JsonMapper;

/** How a command prints what came of it. */
final class OutputFormat {
    private static final JsonMapper IN_LINES =
            Documents.configure(JsonMapper.builder()).build();

    /** The formats. */
    enum Format {
        /** One JSON value. */
        JSON,
        /** A JSON value a line. */
        NDJSON,
        /** For people. */
        TEXT
    }

    @Option(names = "--format", description = "${COMPLETION-CANDIDATES} (default ${DEFAULT-VALUE})")
    private Format format = Format.JSON;

    /** Prints a list. */
    <T> void write(PrintWriter out, List<T> all, Function<T, String> inWords) {
        write(out, all, inWords, false);
    }

    /** Prints a list, or the only one of it by itself. */
    <T> void write(PrintWriter out, List<T> all, Function<T, String> inWords, boolean single) {
        switch (format) {
            case JSON -> out.println(Documents.writeAny(single ? all.get(0) : all));
            case NDJSON -> all.forEach(one -> out.println(IN_LINES.writeValueAsString(one)));
            case TEXT -> all.forEach(one -> out.println(inWords.apply(one)));
            default -> throw new IllegalStateException("no format " + format);
        }
        out.flush();
    }
}
