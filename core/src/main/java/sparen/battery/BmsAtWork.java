package sparen.battery;

import java.util.ArrayList;
import java.util.List;
import sparen.logic.Timer;
import sparen.result.Change;
import sparen.result.Fact;
import sparen.site.Bms;

/**
 * A battery management system at work in one run: opens and closes its two paths by voltage, current and temperature of its own
 * battery.
 *
 * <p>Most such systems block one direction and allow the other; so here: with the discharge path open the battery can still be
 * charged, and the other way round. One that sleeps after a low voltage has both open until a charger shows it its wake-up voltage.
 */
public final class BmsAtWork {
    /** A temperature must be this far inside its limit before a path closes again (K); judgement, no source. */
    private static final double RELEASE_KELVIN = 2;

    /** No such system looks more often (s): opening moves the voltage that it looks at. Judgement, no source. */
    private static final double LEAST_DELAY_SECONDS = 0.2;

    private final Bms bms;
    private final Timer high;
    private final Timer low;
    private final Timer overCharge;
    private final Timer overDischarge;
    private final Timer unheard;
    private boolean highOpen;
    private boolean lowOpen;
    private boolean asleep;
    private boolean chargeTemperatureOpen;
    private boolean dischargeTemperatureOpen;
    private double chargeRetry = Double.NEGATIVE_INFINITY;
    private double dischargeRetry = Double.NEGATIVE_INFINITY;
    private double now;
    private final List<Fact> causes = new ArrayList<>();

    public BmsAtWork(Bms bms) {
        this.bms = bms;
        double delay = Math.max(LEAST_DELAY_SECONDS, bms.voltageDelaySeconds());
        high = new Timer(delay);
        low = new Timer(delay);
        overCharge = new Timer(bms.currentDelaySeconds());
        overDischarge = new Timer(bms.currentDelaySeconds());
        unheard = new Timer(bms.keepAliveSeconds().orElse(Double.POSITIVE_INFINITY));
    }

    /** Whether charging current may flow. */
    public boolean mayCharge() {
        return !asleep && !highOpen && !chargeTemperatureOpen && now >= chargeRetry;
    }

    /** Whether discharging current may flow. */
    public boolean mayDischarge() {
        return !asleep && !lowOpen && !dischargeTemperatureOpen && now >= dischargeRetry;
    }

    /** Whether it waits for its wake-up voltage. */
    public boolean isAsleep() {
        return asleep;
    }

    /** What has become of its paths, given what they were. */
    public List<Fact> changesFrom(boolean couldCharge, boolean couldDischarge) {
        List<Fact> changes = new ArrayList<>();
        if (mayCharge() != couldCharge) {
            changes.add(Fact.of(couldCharge ? Change.CHARGE_PATH_OPENED : Change.CHARGE_PATH_CLOSED));
        }
        if (mayDischarge() != couldDischarge) {
            changes.add(Fact.of(couldDischarge ? Change.DISCHARGE_PATH_OPENED : Change.DISCHARGE_PATH_CLOSED));
            if (couldDischarge && asleep) {
                changes.add(Fact.of(Change.FELL_ASLEEP));
            }
        }
        return changes;
    }

    /** Why a path moved last. */
    public List<Fact> causes() {
        return List.copyOf(causes);
    }

    /**
     * Looks at its battery.
     *
     * @param seconds the instant (s)
     * @param volts at the battery's own terminals (V)
     * @param amperes through it (A, charging positive)
     * @param celsius its temperature (°C)
     * @param shownVolts what a charger shows it from outside while it sleeps (V), 0 for none
     * @param heard whether something talks to it on its data line
     * @return whether a path moved
     */
    public boolean settle(
            double seconds, double volts, double amperes, double celsius, double shownVolts, boolean heard) {
        boolean couldCharge = mayCharge();
        boolean couldDischarge = mayDischarge();
        now = seconds;
        settleVoltage(volts, shownVolts);
        settleTalk(heard);
        settleCurrent(amperes);
        settleTemperature(celsius);
        if (couldCharge == mayCharge() && couldDischarge == mayDischarge()) {
            return false;
        }
        if (causes.isEmpty()) {
            causes.add(Fact.of(Change.CURRENT_RELEASED));
        }
        return true;
    }

    private void settleVoltage(double volts, double shownVolts) {
        causes.clear();
        high.observe(now, highOpen ? volts <= bms.highReleaseVolts() : volts >= bms.highVolts());
        if (high.isDue(now)) {
            high.reset();
            highOpen = !highOpen;
            tell(
                    highOpen ? Change.BATTERY_HIGH : Change.BATTERY_HIGH_OVER,
                    highOpen ? bms.highVolts() : bms.highReleaseVolts(),
                    volts);
        }
        if (asleep) {
            if (shownVolts > 0 && shownVolts >= bms.wakeUpVolts().orElse(0.0)) {
                asleep = false;
                tell(Change.WOKEN, shownVolts);
            }
            return;
        }
        low.observe(now, lowOpen ? volts >= bms.lowReleaseVolts() : volts <= bms.lowVolts());
        if (low.isDue(now)) {
            low.reset();
            lowOpen = !lowOpen;
            asleep = lowOpen && bms.wakeUpVolts().isPresent();
            tell(
                    lowOpen ? Change.BATTERY_LOW : Change.BATTERY_LOW_OVER,
                    lowOpen ? bms.lowVolts() : bms.lowReleaseVolts(),
                    volts);
        }
    }

    /** What nobody talks to for too long falls asleep: whatever wakes it begins to talk to it too. */
    private void settleTalk(boolean heard) {
        unheard.observe(now, !heard && !asleep);
        if (unheard.isDue(now)) {
            unheard.reset();
            asleep = true;
            tell(Change.NOT_TALKED_TO, bms.keepAliveSeconds().orElseThrow());
        }
    }

    private void settleCurrent(double amperes) {
        overCharge.observe(now, amperes > bms.chargeAmperes());
        if (overCharge.isDue(now)) {
            overCharge.reset();
            chargeRetry = now + bms.currentReleaseSeconds();
            tell(Change.CHARGE_CURRENT, bms.chargeAmperes(), amperes);
        }
        overDischarge.observe(now, -amperes > bms.dischargeAmperes());
        if (overDischarge.isDue(now)) {
            overDischarge.reset();
            dischargeRetry = now + bms.currentReleaseSeconds();
            tell(Change.DISCHARGE_CURRENT, bms.dischargeAmperes(), -amperes);
        }
    }

    private void settleTemperature(double celsius) {
        boolean chargeOpen = isOutside(chargeTemperatureOpen, celsius, bms.chargeColdCelsius(), bms.chargeHotCelsius());
        if (chargeOpen != chargeTemperatureOpen) {
            chargeTemperatureOpen = chargeOpen;
            if (!chargeOpen) {
                tell(Change.CHARGE_TEMPERATURE_OVER, celsius);
            } else if (celsius < bms.chargeColdCelsius()) {
                tell(Change.TOO_COLD_TO_CHARGE, bms.chargeColdCelsius(), celsius);
            } else {
                tell(Change.TOO_HOT_TO_CHARGE, bms.chargeHotCelsius(), celsius);
            }
        }
        boolean dischargeOpen =
                isOutside(dischargeTemperatureOpen, celsius, bms.dischargeColdCelsius(), bms.dischargeHotCelsius());
        if (dischargeOpen != dischargeTemperatureOpen) {
            dischargeTemperatureOpen = dischargeOpen;
            if (!dischargeOpen) {
                tell(Change.DISCHARGE_TEMPERATURE_OVER, celsius);
            } else if (celsius < bms.dischargeColdCelsius()) {
                tell(Change.TOO_COLD_TO_DISCHARGE, bms.dischargeColdCelsius(), celsius);
            } else {
                tell(Change.TOO_HOT_TO_DISCHARGE, bms.dischargeHotCelsius(), celsius);
            }
        }
    }

    private static boolean isOutside(boolean was, double celsius, double cold, double hot) {
        double inside = was ? RELEASE_KELVIN : 0;
        return celsius < cold + inside || celsius > hot - inside;
    }

    private void tell(Change cause, double... numbers) {
        causes.add(Fact.of(cause, numbers));
    }

    /** When one of its timers is due next (s). */
    public double dueSeconds() {
        double due = Math.min(Math.min(high.dueSeconds(), low.dueSeconds()), overCharge.dueSeconds());
        due = Math.min(due, Math.min(overDischarge.dueSeconds(), unheard.dueSeconds()));
        if (chargeRetry > now) {
            due = Math.min(due, chargeRetry);
        }
        return dischargeRetry > now ? Math.min(due, dischargeRetry) : due;
    }

    /** Lowest voltage at its terminals (V) at which its conditions keep their answers, given the present one. */
    public double lowestVolts(double volts) {
        double lowest = Double.NEGATIVE_INFINITY;
        double rising = highOpen ? bms.highReleaseVolts() : bms.highVolts();
        boolean above = highOpen ? volts > rising : volts >= rising;
        if (above) {
            lowest = highOpen ? Math.nextUp(rising) : rising;
        }
        double falling = lowOpen ? bms.lowReleaseVolts() : bms.lowVolts();
        boolean over = lowOpen ? volts >= falling : volts > falling;
        return over ? Math.max(lowest, lowOpen ? falling : Math.nextUp(falling)) : lowest;
    }

    /** Highest such voltage (V). */
    public double highestVolts(double volts) {
        double highest = Double.POSITIVE_INFINITY;
        double rising = highOpen ? bms.highReleaseVolts() : bms.highVolts();
        boolean above = highOpen ? volts > rising : volts >= rising;
        if (!above) {
            highest = highOpen ? rising : Math.nextDown(rising);
        }
        double falling = lowOpen ? bms.lowReleaseVolts() : bms.lowVolts();
        boolean over = lowOpen ? volts >= falling : volts > falling;
        return over ? highest : Math.min(highest, lowOpen ? Math.nextDown(falling) : falling);
    }

    /** Highest charging current (A) at which its conditions keep their answers. */
    public double highestAmperes(double amperes) {
        return amperes > bms.chargeAmperes() ? Double.POSITIVE_INFINITY : bms.chargeAmperes();
    }

    /** Lowest current (A, discharging negative) likewise. */
    public double lowestAmperes(double amperes) {
        return -amperes > bms.dischargeAmperes() ? Double.NEGATIVE_INFINITY : -bms.dischargeAmperes();
    }

    /** What it guards by. */
    public Bms settings() {
        return bms;
    }
}
