package sparen.simulation;

import java.util.Random;
import sparen.site.AcSource.Feeder;
import sparen.site.AcSource.PriceBand;

/** A feeder in one run: when it is there, and what it costs. */
final class FeederAtWork {
    private static final double YEAR = 365.25 * 86_400;

    final Feeder feeder;
    private final Random random;
    private final LocalClock clock;
    private boolean present = true;
    private double next;
    private double priceUntil;
    private PriceBand band;
    private double outageSeconds;

    FeederAtWork(Feeder feeder, LocalClock clock, long seed) {
        this.feeder = feeder;
        this.clock = clock;
        random = new Random(seed);
        priceUntil = feeder.bands().isEmpty() ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY;
        next = feeder.outagesPerYear() == 0 ? Double.POSITIVE_INFINITY : gap();
    }

    private double gap() {
        return -YEAR / feeder.outagesPerYear() * StrictMath.log(1 - random.nextDouble());
    }

    /**
     * Goes to an instant (s).
     *
     * @return whether it came or went
     */
    boolean moveTo(double seconds) {
        if (seconds >= priceUntil) {
            findBand(seconds);
        }
        boolean changed = false;
        while (seconds >= next) {
            double length = -feeder.meanOutageSeconds() * StrictMath.log(1 - random.nextDouble());
            next += present ? Math.max(1, length) : gap();
            present = !present;
            changed = true;
        }
        return changed;
    }

    private void findBand(double seconds) {
        clock.moveTo(seconds);
        band = null;
        priceUntil = Double.POSITIVE_INFINITY;
        var local = clock.local(seconds);
        for (PriceBand one : feeder.bands()) {
            if (band == null && one.when().contains(local)) {
                band = one;
            }
            priceUntil = Math.min(priceUntil, clock.nextEdge(one.when(), seconds));
        }
    }

    /** What a step costs with so much energy taken and given back (J). */
    double cost(double importJoules, double exportJoules) {
        return band == null
                ? 0
                : (importJoules * band.importPerKilowattHour() - exportJoules * band.exportPerKilowattHour()) / 3.6e6;
    }

    void count(double seconds) {
        outageSeconds += present ? 0 : seconds;
    }

    double outageSeconds() {
        return outageSeconds;
    }

    boolean isPresent() {
        return present;
    }

    double nextChange() {
        return Math.min(next, priceUntil);
    }
}
