package sparen.export;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import sparen.quantity.Bounds;
import sparen.quantity.Standard;
import sparen.result.DayFigures;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.Ledger;
import sparen.result.RunResult;
import sparen.result.Trace;

/** A run as tables: comma-separated, RFC 4180, UTF-8, a heading with units, decimal points, times in UTC. All of it is simulated. */
public final class RunTables {
    private RunTables() {}

    /** One line a bucket of a trace, in numbers as short as they can be believed. */
    public static String trace(Trace fine, Instant start) {
        Trace trace = fine.rounded();
        return Csv.of(csv -> {
            csv.writeRecord(
                    "time",
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
                    "unserved W",
                    "generator W",
                    "battery °C");
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
                trace.unservedWatts(),
                trace.generatorWatts(),
                trace.batteryCelsius()
            };
            for (int i = 0; i < trace.usedWatts().length; i++) {
                List<String> row = new ArrayList<>();
                double seconds = trace.fromSeconds() + i * trace.bucketSeconds();
                row.add(time(start, seconds));
                row.add(Bounds.number(seconds));
                for (double[] column : columns) {
                    row.add(Double.isNaN(column[i]) ? "" : Bounds.number(column[i]));
                }
                csv.writeRecord(row);
            }
        });
    }

    /** One line an event. */
    public static String events(RunResult result, Instant start) {
        return Csv.of(csv -> {
            csv.writeRecord(
                    "time",
                    "seconds",
                    "event",
                    "subject",
                    "battery V",
                    "state of charge",
                    "reason",
                    "changes",
                    "limit",
                    "read",
                    "unit");
            for (Event event : result.events()) {
                csv.writeRecord(
                        time(start, event.seconds()),
                        Double.toString(event.seconds()),
                        event.kind().name(),
                        event.subject(),
                        Double.toString(event.batteryVolts()),
                        Double.toString(event.stateOfCharge()),
                        event.reason(),
                        event.facts().stream().map(fact -> fact.change().name()).collect(Collectors.joining(" ")),
                        number(event, "limit")
                                .map(one -> Double.toString(one.value()))
                                .orElse(""),
                        number(event, "read")
                                .map(one -> Double.toString(one.value()))
                                .orElse(""),
                        number(event, "read")
                                .or(() -> number(event, "limit"))
                                .map(one -> one.unit().symbol())
                                .orElse(""));
            }
        });
    }

    /** A number of the first fact that has one of that name. */
    private static Optional<Fact.Quantity> number(Event event, String name) {
        return event.facts().stream()
                .flatMap(fact -> fact.numbers().stream())
                .filter(one -> one.name().equals(name))
                .findFirst();
    }

    /** One line a local day, and one for all of them; energies in watt-hours. */
    public static String ledger(RunResult result) {
        return Csv.of(csv -> {
            csv.writeRecord(
                    "day",
                    "lowest state of charge",
                    "array Wh",
                    "AC array Wh",
                    "direct current Wh",
                    "generator Wh",
                    "import Wh",
                    "stored increase Wh",
                    "served Wh",
                    "diverted Wh",
                    "export Wh",
                    "own draw Wh",
                    "coils Wh",
                    "battery loss Wh",
                    "cable loss Wh",
                    "conversion loss Wh",
                    "curtailed Wh",
                    "clipped Wh",
                    "unserved Wh",
                    "cost");
            for (DayFigures day : result.days()) {
                csv.writeRecord(line(day.date().toString(), day.lowestStateOfCharge(), day.ledger()));
            }
            csv.writeRecord(line("all", result.lowestStateOfCharge().value(), result.ledger()));
        });
    }

    private static List<String> line(String day, double lowest, Ledger ledger) {
        double[] joules = {
            ledger.arrayJoules(),
            ledger.acArrayJoules(),
            ledger.sourceJoules(),
            ledger.generatorJoules(),
            ledger.importJoules(),
            ledger.storedIncreaseJoules(),
            ledger.totalServedJoules(),
            ledger.totalDivertedJoules(),
            ledger.exportJoules(),
            ledger.idleJoules(),
            ledger.coilJoules(),
            ledger.batteryLossJoules(),
            ledger.cableLossJoules(),
            ledger.conversionLossJoules(),
            ledger.curtailedJoules(),
            ledger.clippedJoules(),
            ledger.totalUnservedJoules()
        };
        List<String> row = new ArrayList<>(List.of(day, Double.toString(lowest)));
        for (double one : joules) {
            row.add(Double.toString(one / Standard.WATT_HOUR));
        }
        row.add(Double.toString(ledger.cost()));
        return row;
    }

    private static String time(Instant start, double seconds) {
        return start.plusMillis(Math.round(seconds * 1000)).toString();
    }
}
