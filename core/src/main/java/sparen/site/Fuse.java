package sparen.site;

import sparen.quantity.Bounds;

/**
 * A fuse or breaker in a conductor.
 *
 * <p>It opens after an hour at 1.6 times its rating, sooner above by the square of the current, and at once at ten times. Source of
 * the hour at 1.6: conventional fusing current of a gG fuse, IEC 60269-1, from memory; the square is judgement.
 *
 * @param ratedAmperes (A), above 0 to 2000
 * @param ratedVolts the DC voltage it can break (V), above 0 to 2000
 * @param interruptingAmperes the largest current it can break (A), above 0 to 1e6
 */
public record Fuse(double ratedAmperes, double ratedVolts, double interruptingAmperes) {
    private static final double FUSING = 1.6;
    private static final double AT_ONCE = 10;
    private static final double CONVENTIONAL_SECONDS = 3600;

    public Fuse {
        Bounds.above("ratedAmperes", ratedAmperes, 0, 2000);
        Bounds.above("ratedVolts", ratedVolts, 0, 2000);
        Bounds.above("interruptingAmperes", interruptingAmperes, 0, 1e6);
    }

    /** How long it bears a steady current (s); infinite below its fusing current, 0 from ten times its rating on. */
    public double secondsAt(double amperes) {
        double ratio = Math.abs(amperes) / ratedAmperes;
        if (ratio < FUSING) {
            return Double.POSITIVE_INFINITY;
        }
        return ratio >= AT_ONCE ? 0 : CONVENTIONAL_SECONDS * FUSING * FUSING / (ratio * ratio);
    }
}
