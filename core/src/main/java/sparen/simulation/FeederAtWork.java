package sparen.simulation;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import sparen.program.Sentence;
import sparen.quantity.Standard;
import sparen.result.FeederFigures;
import sparen.result.FeederFigures.BandFigures;
import sparen.site.AcSource.Feeder;
import sparen.site.AcSource.PriceBand;
import sparen.site.DailySpan;

/** A feeder in one run: when it is there, and what it costs. */
final class FeederAtWork {
    private static final double YEAR = 365.25 * 86_400;
    private static final double KILOWATT_HOUR = 1000 * Standard.WATT_HOUR;

    final Feeder feeder;
    private final Random random;
    private final LocalClock clock;
    private boolean present = true;
    private double next;
    private double priceUntil;
    /** Of the site's bands, or one beyond them outside all. */
    private int band;

    private final double[] importJoules;
    private final double[] exportJoules;
    private double outageSeconds;

    FeederAtWork(Feeder feeder, LocalClock clock, long seed) {
        this.feeder = feeder;
        this.clock = clock;
        random = new Random(seed);
        band = feeder.bands().size();
        importJoules = new double[band + 1];
        exportJoules = new double[band + 1];
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
        band = feeder.bands().size();
        priceUntil = Double.POSITIVE_INFINITY;
        var local = clock.local(seconds);
        for (int i = feeder.bands().size() - 1; i >= 0; i--) {
            DailySpan when = feeder.bands().get(i).when();
            if (when.contains(local)) {
                band = i;
            }
            priceUntil = Math.min(priceUntil, clock.nextEdge(when, seconds));
        }
    }

    /** Takes a step with so much energy taken and given back (J); what it costs. */
    double cost(double taken, double given) {
        importJoules[band] += taken;
        exportJoules[band] += given;
        return cost(band, taken, given);
    }

    private double cost(int at, double taken, double given) {
        if (at == feeder.bands().size()) {
            return 0;
        }
        PriceBand price = feeder.bands().get(at);
        return (taken * price.importPerKilowattHour() - given * price.exportPerKilowattHour()) / KILOWATT_HOUR;
    }

    /** What came of it. */
    FeederFigures figures() {
        List<BandFigures> bands = new ArrayList<>();
        for (int i = 0; i < importJoules.length; i++) {
            boolean outside = i == feeder.bands().size();
            if (outside && importJoules[i] == 0 && exportJoules[i] == 0) {
                continue;
            }
            bands.add(new BandFigures(
                    outside
                            ? "outside all bands"
                            : Sentence.span(feeder.bands().get(i).when()),
                    outside ? 0 : feeder.bands().get(i).importPerKilowattHour(),
                    outside ? 0 : feeder.bands().get(i).exportPerKilowattHour(),
                    importJoules[i] / KILOWATT_HOUR,
                    exportJoules[i] / KILOWATT_HOUR,
                    cost(i, importJoules[i], exportJoules[i])));
        }
        return new FeederFigures(feeder.id(), outageSeconds, bands);
    }

    void count(double seconds) {
        outageSeconds += present ? 0 : seconds;
    }

    boolean isPresent() {
        return present;
    }

    double nextChange() {
        return Math.min(next, priceUntil);
    }
}
