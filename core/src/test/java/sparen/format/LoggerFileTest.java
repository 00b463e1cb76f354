package sparen.format;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import sparen.history.RecordedTrace;
import sparen.quantity.InvalidQuantity;
import sparen.table.Meaning;

/** What loggers recorded, joined, cut and drawn. */
public class LoggerFileTest {
    private static final double START = Instant.parse("2026-10-01T00:00:00Z").getEpochSecond();

    /** Lines a minute from a minute on, all at one voltage. */
    private static LoggerFile minutes(int from, int count, double volts, Map<Meaning, double[]> more) {
        double[] seconds = new double[count];
        double[] all = new double[count];
        for (int i = 0; i < count; i++) {
            seconds[i] = START + 60.0 * (from + i);
            all[i] = volts;
        }
        Map<Meaning, double[]> columns = new EnumMap<>(Map.of(Meaning.BATTERY_VOLTS, all));
        columns.putAll(more);
        return new LoggerFile(seconds, columns, Map.of(), List.of("of " + volts + " V"));
    }

    /** Where two overlap the lines of the earlier one count; what only one measured is not known of the other. */
    @Test
    public void filesAreJoinedInTheOrderOfTime() {
        LoggerFile later = minutes(5, 10, 13, Map.of(Meaning.CHARGE, new double[10]));
        LoggerFile earlier = minutes(0, 8, 12, Map.of());
        LoggerFile joined = LoggerFile.join(List.of(later, earlier));
        assertEquals(joined.lines(), 15, "minutes 0 to 14, each once");
        double[] volts = joined.column(Meaning.BATTERY_VOLTS).orElseThrow();
        double[] charge = joined.column(Meaning.CHARGE).orElseThrow();
        for (int i = 0; i < 15; i++) {
            assertEquals(joined.seconds()[i], START + 60.0 * i);
            assertEquals(volts[i], i < 8 ? 12.0 : 13.0, "minute " + i);
            assertEquals(Double.isNaN(charge[i]), i < 8, "minute " + i);
        }
        assertEquals(joined.notes(), List.of("of 12.0 V", "of 13.0 V"));
        assertEquals(LoggerFile.join(List.of(earlier)), earlier);
    }

    @Test
    public void aPartOfItIsCutOut() {
        LoggerFile ten = minutes(0, 10, 12, Map.of());
        LoggerFile part = ten.between(ten.from().plusSeconds(90), ten.from().plusSeconds(240));
        assertEquals(part.from(), ten.from().plusSeconds(120));
        assertEquals(part.to(), ten.from().plusSeconds(240));
        InvalidQuantity none = expectThrows(
                InvalidQuantity.class,
                () -> ten.between(ten.to().plusSeconds(1), ten.to().plusSeconds(9)));
        assertTrue(none.getMessage().startsWith("from: nothing was recorded between 2026-10-01"), none.getMessage());
    }

    /** Half a year without anything does not change what is usual: the middle step, not the mean of all. */
    @Test
    public void whatIsUsualIsTheMiddleStep() {
        LoggerFile twice = LoggerFile.join(List.of(minutes(0, 50, 12, Map.of()), minutes(260_000, 50, 12, Map.of())));
        assertEquals(twice.usualSeconds(), 60.0);
        assertTrue(LoggerFile.isGap(601, 60) && !LoggerFile.isGap(600, 60));
        assertEquals(LoggerFile.closings(new double[] {1, 0, 1, 1, Double.NaN, 0, 1, 0}), 2);
    }

    /** A bucket has the least and the most of its voltages and the mean of the rest; one in which nothing is known has nothing. */
    @Test
    public void aPictureHasNothingWhereNothingIsKnown() {
        double[] seconds = {START, START + 60, START + 120, START + 540, START + 600};
        LoggerFile log = new LoggerFile(
                seconds,
                Map.of(
                        Meaning.BATTERY_VOLTS, new double[] {12, 12.5, Double.NaN, 13, 13.25},
                        Meaning.BATTERY_AMPERES, new double[] {-1, -2, -3, 4, Double.NaN}),
                Map.of("lamps", new double[] {0, 1, 1, 0, 0}),
                List.of());
        RecordedTrace trace = RecordedTrace.of(log, 3);
        assertEquals(trace.bucketSeconds(), 200.0);
        assertEquals(List.of(trace.lowVolts()[0], trace.highVolts()[0]), List.of(12.0, 12.5));
        assertNull(trace.lowVolts()[1]);
        assertNull(trace.means().get(Meaning.BATTERY_AMPERES)[1]);
        assertEquals(trace.means().get(Meaning.BATTERY_AMPERES)[0], -2.0);
        assertEquals(trace.means().get(Meaning.BATTERY_AMPERES)[2], 4.0, "what was not measured is no zero");
        assertEquals(trace.closed().get("lamps")[0], 0.667);
    }
}
