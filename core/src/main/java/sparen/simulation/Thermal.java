package sparen.simulation;

import sparen.site.Enclosure;
import sparen.site.Enclosure.CabinetHeater;

/**
 * Temperature of battery and cabinet: a first-order lag behind the air, raised by losses and a heater. It is worked out every quarter
 * of an hour and holds until the next: batteries take hours, and devices sample. Without a lag it is the air's, minute by minute.
 */
final class Thermal {
    /** Between two samples (s). */
    static final double SAMPLE_SECONDS = 900;

    private final Enclosure enclosure;
    private final double[] air;
    private final double sampleSeconds;
    private final double decay;
    private double celsius;
    private double next;
    private boolean heats;
    private double heatJoules;

    Thermal(Enclosure enclosure, double[] airCelsius) {
        this.enclosure = enclosure;
        air = airCelsius;
        boolean follows = enclosure.lagSeconds() <= Enclosure.NO_LAG_SECONDS;
        sampleSeconds = follows ? Enclosure.NO_LAG_SECONDS : SAMPLE_SECONDS;
        decay = follows ? 0 : StrictMath.exp(-sampleSeconds / enclosure.lagSeconds());
        next = sampleSeconds;
        celsius = enclosure.startCelsius().orElseGet(() -> meanOfFirstDay(airCelsius));
        settleHeater();
    }

    private static double meanOfFirstDay(double[] air) {
        int minutes = Math.min(1440, air.length);
        double sum = 0;
        for (int i = 0; i < minutes; i++) {
            sum += air[i];
        }
        return sum / minutes;
    }

    /** Takes heat (J) that was lost in the battery since the last sample. */
    void heat(double joules) {
        heatJoules += joules;
    }

    /**
     * Goes to an instant (s).
     *
     * @return whether a sample was taken
     */
    boolean moveTo(double seconds) {
        if (seconds < next) {
            return false;
        }
        double watts = heatJoules / sampleSeconds + heaterWatts();
        heatJoules = 0;
        double settled = airCelsius(decay == 0 ? next : next - sampleSeconds / 2) + watts * enclosure.kelvinPerWatt();
        celsius = settled + (celsius - settled) * decay;
        next += sampleSeconds;
        skipWhatStays();
        settleHeater();
        return true;
    }

    /** What follows the air and nothing else is sampled where the air changes. */
    private void skipWhatStays() {
        while (decay == 0
                && enclosure.kelvinPerWatt() == 0
                && airCelsius(next) == celsius
                && next < 60.0 * air.length) {
            next += sampleSeconds;
        }
    }

    private void settleHeater() {
        if (enclosure.heater().isPresent()) {
            CabinetHeater heater = enclosure.heater().get();
            heats = heats ? celsius < heater.offCelsius() : celsius <= heater.onCelsius();
        }
    }

    double heaterWatts() {
        return heats ? enclosure.heater().orElseThrow().watts() : 0;
    }

    /** The air's temperature at the last sample (°C). */
    double sampledAirCelsius() {
        return airCelsius(next - sampleSeconds);
    }

    double airCelsius(double seconds) {
        return air[(int) Math.max(0, Math.min(air.length - 1, seconds / 60))];
    }

    double celsius() {
        return celsius;
    }

    double nextSample() {
        return next;
    }
}
