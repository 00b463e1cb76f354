package sparen.cli;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import sparen.simulation.Event;
import sparen.simulation.RunResult;
import sparen.simulation.Trace;

/** Writes a run's events and trace as CSV. */
final class ResultFiles {
    private ResultFiles() {}

    static void write(Path directory, RunResult result, Instant start) throws IOException {
        Files.createDirectories(directory);
        try (CsvWriter csv = CsvWriter.builder().build(directory.resolve("events.csv"))) {
            csv.writeRecord("time", "seconds", "event", "subject", "battery V", "state of charge", "reason");
            for (Event event : result.events()) {
                csv.writeRecord(
                        start.plusMillis(Math.round(event.seconds() * 1000)).toString(),
                        Double.toString(event.seconds()),
                        event.kind().name(),
                        event.subject(),
                        Double.toString(event.batteryVolts()),
                        Double.toString(event.stateOfCharge()),
                        event.reason());
            }
        }
        try (CsvWriter csv = CsvWriter.builder().build(directory.resolve("trace.csv"))) {
            writeTrace(csv, result.trace());
        }
    }

    private static void writeTrace(CsvWriter csv, Trace trace) {
        csv.writeRecord(
                "seconds",
                "low battery V",
                "high battery V",
                "low bus V",
                "high bus V",
                "low state of charge",
                "high state of charge",
                "used W",
                "diverted W",
                "to battery W",
                "from battery W",
                "thrown away W",
                "AC source W",
                "unserved W");
        double[][] columns = {
            trace.lowBatteryVolts(),
            trace.highBatteryVolts(),
            trace.lowBusVolts(),
            trace.highBusVolts(),
            trace.lowStateOfCharge(),
            trace.highStateOfCharge(),
            trace.usedWatts(),
            trace.divertedWatts(),
            trace.toBatteryWatts(),
            trace.fromBatteryWatts(),
            trace.thrownAwayWatts(),
            trace.acSourceWatts(),
            trace.unservedWatts()
        };
        String[] row = new String[columns.length + 1];
        for (int i = 0; i < trace.usedWatts().length; i++) {
            row[0] = Double.toString(trace.fromSeconds() + i * trace.bucketSeconds());
            for (int column = 0; column < columns.length; column++) {
                row[column + 1] = Double.toString(columns[column][i]);
            }
            csv.writeRecord(row);
        }
    }
}
