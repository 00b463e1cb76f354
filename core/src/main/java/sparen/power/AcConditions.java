package sparen.power;

import java.util.Arrays;
import sparen.program.AcProgram.AcWindow;
import sparen.site.AcSource;

/** What is on the AC side of an inverter at an instant. Filled in by the caller before {@link AcSide#settle}. */
public final class AcConditions {
    /** Real power of the loads that are switched on, on each leg (W). */
    public final double[] legWatts = new double[3];

    /** Apparent power of all loads together (VA). */
    public double voltAmperes;

    /** Power of the loads before the inverter, on each source (W). */
    public double[] beforeWatts = {};

    /** What arrays on the AC side could give (W). */
    public double sunWatts;

    /** What meters of their own say of these (W). */
    public double meteredSunWatts;

    /** What the sun on the DC side has to spare for the AC side (W, DC); looked at only where the gear blends. */
    public double spareWatts;

    /** Index of the source that is there, −1 for none. */
    public int source = -1;

    /** That source; null for none. */
    public AcSource from;

    /** What the charger takes from AC (W). */
    public double chargerWatts;

    /** Air temperature (°C). */
    public double airCelsius;

    /** State of charge that windows and levels go by (fraction). */
    public double stateOfCharge;

    /** Voltage at its DC terminals (V). */
    public double dcVolts;

    /** Whether the DC bus is alive. */
    public boolean dcAlive;

    /** Whether the sun gives as much as all loads take. */
    public boolean sunEnough;

    /** The window in force, null for none. */
    public AcWindow window;

    /** No load is switched on. */
    public void clearLoads() {
        Arrays.fill(legWatts, 0);
        Arrays.fill(beforeWatts, 0);
        voltAmperes = 0;
    }

    /**
     * A load is switched on.
     *
     * @param before the source on which it is before the inverter, below 0 for behind it
     */
    public void addLoad(int before, int leg, double watts, double powerFactor) {
        if (before >= 0) {
            beforeWatts[before] += watts;
            return;
        }
        legWatts[leg] += watts;
        voltAmperes += watts / powerFactor;
    }

    /** Power of the loads before the inverter on the source that is there (W). */
    double beforeWatts() {
        return source >= 0 && source < beforeWatts.length ? beforeWatts[source] : 0;
    }

    /** All legs together (W). */
    public double watts() {
        return legWatts[0] + legWatts[1] + legWatts[2];
    }

    /** How much more than its even share the heaviest of so many legs carries (×), 1 or more. */
    double unevenness(int legs) {
        double all = watts();
        if (legs == 1 || all <= 0) {
            return 1;
        }
        double heaviest = 0;
        for (int leg = 0; leg < legs; leg++) {
            heaviest = Math.max(heaviest, legLoad(leg, legs));
        }
        return heaviest * legs / all;
    }

    /** The load on the heaviest of the source's legs (W). */
    double heaviestLeg() {
        double heaviest = 0;
        for (int leg = 0; leg < from.legs(); leg++) {
            heaviest = Math.max(heaviest, legLoad(leg));
        }
        return heaviest;
    }

    /** Load on one of the source's legs (W). */
    double legLoad(int leg) {
        return legLoad(leg, from.legs());
    }

    /** Load on one of so many legs (W); what hangs on a leg that is not there goes to the last. */
    private double legLoad(int leg, int legs) {
        double sum = legWatts[leg];
        if (leg == legs - 1) {
            for (int beyond = leg + 1; beyond < legWatts.length; beyond++) {
                sum += legWatts[beyond];
            }
        }
        return sum;
    }
}
