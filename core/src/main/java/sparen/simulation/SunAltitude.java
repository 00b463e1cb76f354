package sparen.simulation;

/** The sun's height over a run, straight lines between minutes, and when it leaves an interval. */
final class SunAltitude {
    /** Far enough behind a crossing that the condition there reads true (s). */
    private static final double BEHIND_SECONDS = 1e-6;

    private final double[] degrees;
    private double exitLow = Double.NaN;
    private double exitHigh = Double.NaN;
    private double exit;

    SunAltitude(double[] degreesEachMinute) {
        degrees = degreesEachMinute;
    }

    /** Its height at an instant (s), in degrees. */
    double at(double seconds) {
        int minute = minute(seconds);
        double share = seconds / 60 - minute;
        return degrees[minute] + share * (degrees[minute + 1] - degrees[minute]);
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
        for (int i = minute(seconds); i + 1 < degrees.length; i++) {
            double end = degrees[i + 1];
            if (end < low || end > high) {
                double bound = end < low ? low : high;
                double share = (bound - degrees[i]) / (end - degrees[i]);
                return Math.max(seconds, 60 * (i + Math.min(1, Math.max(0, share)))) + BEHIND_SECONDS;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    private int minute(double seconds) {
        return Math.min(degrees.length - 2, (int) (seconds / 60));
    }
}
