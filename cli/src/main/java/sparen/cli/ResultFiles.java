package sparen.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import sparen.export.RunTables;
import sparen.result.RunResult;

/** Writes a run's events, ledger and trace as CSV. */
final class ResultFiles {
    private ResultFiles() {}

    /** @param mark before each: a byte order mark, or nothing */
    static void write(Path directory, RunResult result, Instant start, String mark) throws IOException {
        Files.createDirectories(directory);
        Files.writeString(directory.resolve("events.csv"), mark + RunTables.events(result, start));
        Files.writeString(directory.resolve("ledger.csv"), mark + RunTables.ledger(result));
        Files.writeString(directory.resolve("trace.csv"), mark + RunTables.trace(result.trace(), start));
    }
}
