package sparen.logbook;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.DoubleStream;
import sparen.quantity.Bounds;

/**
 * What the numbers of an entry say.
 *
 * @param says in words; empty where nothing is to be said
 * @param isCaution whether something is to be done about it
 */
public record EntrySays(String says, boolean isCaution) {
    /** By what specific gravity is read too low for each kelvin above 25 °C; IEEE 450, 0.001 for each 1.67 K, from memory. */
    private static final double GRAVITY_PER_KELVIN = 0.001 / 1.67;

    private static final double GRAVITY_CELSIUS = 25;
    /** Cells of lead that differ by more are equalized (kg/l); common practice, no source. */
    private static final double GRAVITY_SPREAD = 0.03;
    /** Cells that differ by more are looked at (V): lead, and lithium; common practice, no source. */
    private static final double LEAD_SPREAD = 0.05;

    private static final double LITHIUM_SPREAD = 0.03;
    private static final double LEAD_BELOW = 2.9;
    /** Terminals may be warmer than the air by 65 K, IEC 60947-1, from memory; from 50 K on it is looked at, judgement. */
    private static final double RISE_KELVIN = 50;
    /** A meter of the hand is right to so much (share and V), common practice. */
    private static final double METER_SHARE = 0.002;

    /** What an entry says. */
    public static EntrySays of(LogEntry entry) {
        return switch (entry.kind()) {
            case DEVICE_AGAINST_METER -> meter(entry);
            case SPECIFIC_GRAVITY -> gravity(entry);
            case CELL_VOLTAGES -> cells(entry);
            case CONTACT_TEMPERATURE -> contact(entry);
            default -> new EntrySays("", false);
        };
    }

    /** By what the device reads above the meter (V); absent for entries of another kind. */
    public static Optional<Double> offsetVolts(LogEntry entry) {
        return entry.kind() == EntryKind.DEVICE_AGAINST_METER
                ? Optional.of(Math.round((entry.number("shown") - entry.number("meter")) * 1000) / 1000.0)
                : Optional.empty();
    }

    private static EntrySays meter(LogEntry entry) {
        double offset = offsetVolts(entry).orElseThrow();
        boolean off = Math.abs(offset) > METER_SHARE * entry.number("meter");
        String words = offset == 0
                ? "It reads as the meter."
                : "It reads " + Bounds.number(Math.abs(offset)) + " V " + (offset > 0 ? "high" : "low") + ".";
        return new EntrySays(words + (off ? "" : " That is within what a hand meter is right to."), off);
    }

    private static EntrySays gravity(LogEntry entry) {
        double more = GRAVITY_PER_KELVIN * (entry.number("electrolyteCelsius") - GRAVITY_CELSIUS);
        double[] corrected =
                entry.cells().stream().mapToDouble(cell -> cell + more).toArray();
        double spread = spread(corrected);
        boolean wide = spread > GRAVITY_SPREAD;
        return new EntrySays(
                "At 25 °C " + thousandth(DoubleStream.of(corrected).min().orElse(0)) + " to "
                        + thousandth(DoubleStream.of(corrected).max().orElse(0)) + " kg/l, cell "
                        + (lowest(entry.cells()) + 1) + " lowest; spread " + thousandth(spread) + " kg/l."
                        + (wide ? " From 0.030 kg/l on a bank is equalized." : ""),
                wide);
    }

    private static EntrySays cells(LogEntry entry) {
        double[] volts = entry.cells().stream().mapToDouble(Double::doubleValue).toArray();
        double spread = spread(volts);
        double mean = DoubleStream.of(volts).average().orElse(0);
        double limit = mean < LEAD_BELOW ? LEAD_SPREAD : LITHIUM_SPREAD;
        boolean wide = spread > limit;
        return new EntrySays(
                "Mean " + thousandth(mean) + " V, cell " + (lowest(entry.cells()) + 1) + " lowest; spread "
                        + Math.round(spread * 1000) + " mV."
                        + (wide ? " Above " + Math.round(limit * 1000) + " mV a bank is balanced or equalized." : ""),
                wide);
    }

    private static EntrySays contact(LogEntry entry) {
        double rise = entry.number("contactCelsius") - entry.number("airCelsius");
        boolean hot = rise > RISE_KELVIN;
        return new EntrySays(
                Bounds.number(Math.round(rise * 10) / 10.0) + " K above the air."
                        + (hot
                                ? " Look at its terminals and what it carries: terminals may rise by 65 K, no more."
                                : ""),
                hot);
    }

    private static double spread(double[] values) {
        return DoubleStream.of(values).max().orElse(0)
                - DoubleStream.of(values).min().orElse(0);
    }

    private static int lowest(List<Double> cells) {
        int lowest = 0;
        for (int i = 1; i < cells.size(); i++) {
            lowest = cells.get(i) < cells.get(lowest) ? i : lowest;
        }
        return lowest;
    }

    private static String thousandth(double value) {
        return String.format(Locale.ROOT, "%.3f", value);
    }
}
