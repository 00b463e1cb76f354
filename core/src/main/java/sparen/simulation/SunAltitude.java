package sparen.simulation;

import sparen.sun.Weather;

/** The sun's height over a run, straight lines between minutes, and when it leaves an interval. */
final class SunAltitude {
    /** Far enough behind a crossing that the condition there reads true (s). */
    private static final double BEHIND_SECONDS = 1e-6;

    private final double[] sines;
    private int known = -1;
    private double knownDegrees;
    private double nextDegrees;
    private double exitLow = Double.NaN;
    private double exitHigh = Double.NaN;
    private double exit;

    SunAltitude(double[] sinesEachMinute) {
        sines = sinesEachMinute;
    }

    /** Its height at an instant (s), in degrees. */
    double at(double seconds) {
        int minute = minute(seconds);
        if (minute != known) {
            known = minute;
            knownDegrees = Weather.degrees(sines[minute]);
            nextDegrees = Weather.degrees(sines[minute + 1]);
        }
        return knownDegrees + (seconds / 60 - minute) * (nextDegrees - knownDegrees);
    }

    /** The next instant (s) after this one at which it is outside an interval in degrees, infinite when none comes. */
    double nextExit(double seconds, double low, double high) {
        if (low != exitLow || high != exitHigh || exit <= seconds) {
            exitLow = low;
            exitHigh = high;
            exit = search(seconds, low, high);
        }
        return exit;
    }

    private double search(double seconds, double low, double high) {
        if (low == Double.NEGATIVE_INFINITY && high == Double.POSITIVE_INFINITY) {
            return Double.POSITIVE_INFINITY;
        }
        double lowSine = sine(low);
        double highSine = sine(high);
        for (int i = minute(seconds); i + 1 < sines.length; i++) {
            double end = sines[i + 1];
            if (end < lowSine || end > highSine) {
                double from = Weather.degrees(sines[i]);
                double share = ((end < lowSine ? low : high) - from) / (Weather.degrees(end) - from);
                return Math.max(seconds, 60 * (i + Math.min(1, Math.max(0, share)))) + BEHIND_SECONDS;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    /** A bound (°) as a sine; beyond what there is where it is beyond 90°. */
    private static double sine(double degrees) {
        return Math.abs(degrees) > 90 ? 2 * Math.signum(degrees) : StrictMath.sin(StrictMath.toRadians(degrees));
    }

    private int minute(double seconds) {
        return Math.min(sines.length - 2, (int) (seconds / 60));
    }
}
