package sparen.logic;

import java.util.Locale;
import java.util.OptionalDouble;

/**
 * How a device's reading follows from a signal, for telling what it read: signal × factor + offset.
 *
 * @param signal index of the signal
 * @param factor from the signal's unit to the one that is shown
 * @param offset in the unit that is shown
 * @param unit such as V
 * @param decimals shown after the point, 0 to 6
 * @param limit the level it is compared with, in the unit that is shown; empty for one that moves
 */
public record Reading(int signal, double factor, double offset, String unit, int decimals, OptionalDouble limit) {
    /** What it reads now, in the unit that is shown. */
    public double read(double[] signals) {
        return signals[signal] * factor + offset;
    }

    /** The same with its unit. */
    public String format(double[] signals) {
        return String.format(Locale.ROOT, "%." + decimals + "f %s", read(signals), unit);
    }
}
