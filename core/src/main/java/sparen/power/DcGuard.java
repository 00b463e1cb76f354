package sparen.power;

import java.util.List;
import java.util.Optional;
import sparen.logic.Timer;
import sparen.program.AcProgram.CutOffLevels;
import sparen.result.Change;
import sparen.result.Fact;
import sparen.site.Inverter.DcWindow;

/**
 * What stops an inverter on its DC side and what it warns of: its voltages, and the state of charge where levels of it are set,
 * whichever comes first.
 */
final class DcGuard {
    /** It does not start again before this after a stop on voltage (s); judgement, no source. */
    private static final double LEAST_OFF_SECONDS = 1;

    private static final double HIGH_RELEASE = 0.98;
    private static final double PERCENT = 100;

    private final DcWindow window;
    private final Optional<CutOffLevels> charge;
    private final Timer lowVoltage;
    private boolean lowStop;
    private boolean highStop;
    private boolean chargeStop;
    private boolean alarm;
    private boolean chargeAlarm;
    private double offUntil = Double.NEGATIVE_INFINITY;

    DcGuard(DcWindow window, Optional<CutOffLevels> charge) {
        this.window = window;
        this.charge = charge;
        lowVoltage = new Timer(window.lowDelaySeconds());
    }

    /** Its voltages (V). */
    double[] volts() {
        return new double[] {
            window.lowAlarmVolts(),
            window.lowShutdownVolts(),
            window.lowRestartVolts(),
            window.highShutdownVolts(),
            HIGH_RELEASE * window.highShutdownVolts()
        };
    }

    /** Its levels of the state of charge (fraction); none where it does not go by it. */
    double[] charges() {
        return charge.map(levels -> new double[] {
                    levels.alarmStateOfCharge(), levels.cutOffStateOfCharge(), levels.restartStateOfCharge()
                })
                .orElse(new double[0]);
    }

    /** Looks at an instant (s), and adds what became of it. */
    void settle(double now, AcConditions on, List<Fact> happened) {
        settleLow(now, on, happened);
        settleHigh(now, on, happened);
        boolean warns = on.dcAlive && on.dcVolts <= window.lowAlarmVolts();
        if (warns != alarm) {
            alarm = warns;
            happened.add(Fact.of(warns ? Change.ALARM : Change.ALARM_OVER, window.lowAlarmVolts(), on.dcVolts));
        }
        if (charge.isPresent()) {
            settleCharge(charge.get(), on, happened);
        }
    }

    private void settleLow(double now, AcConditions on, List<Fact> happened) {
        boolean low = lowStop ? on.dcVolts < window.lowRestartVolts() : on.dcVolts <= window.lowShutdownVolts();
        lowVoltage.observe(now, on.dcAlive && !lowStop && low);
        if (lowVoltage.isDue(now)) {
            lowVoltage.reset();
            lowStop = true;
            offUntil = now + LEAST_OFF_SECONDS;
            happened.add(Fact.of(Change.INVERTER_LOW, window.lowShutdownVolts(), window.lowDelaySeconds(), on.dcVolts));
        } else if (lowStop && now >= offUntil && on.dcVolts >= window.lowRestartVolts()) {
            lowStop = false;
            happened.add(Fact.of(Change.INVERTER_LOW_OVER, window.lowRestartVolts(), on.dcVolts));
        }
    }

    private void settleHigh(double now, AcConditions on, List<Fact> happened) {
        double release = HIGH_RELEASE * window.highShutdownVolts();
        boolean high = on.dcAlive
                && (highStop ? now < offUntil || on.dcVolts > release : on.dcVolts >= window.highShutdownVolts());
        if (high != highStop) {
            highStop = high;
            offUntil = now + LEAST_OFF_SECONDS;
            happened.add(Fact.of(
                    high ? Change.INVERTER_HIGH : Change.INVERTER_HIGH_OVER,
                    high ? window.highShutdownVolts() : release,
                    on.dcVolts));
        }
    }

    private void settleCharge(CutOffLevels levels, AcConditions on, List<Fact> happened) {
        double reads = on.stateOfCharge;
        boolean warns = reads <= levels.alarmStateOfCharge();
        if (warns != chargeAlarm) {
            chargeAlarm = warns;
            happened.add(Fact.of(
                    warns ? Change.ALARM_SOC : Change.ALARM_SOC_OVER,
                    PERCENT * levels.alarmStateOfCharge(),
                    PERCENT * reads));
        }
        boolean stops = reads <= (chargeStop ? levels.restartStateOfCharge() : levels.cutOffStateOfCharge());
        if (stops != chargeStop) {
            chargeStop = stops;
            happened.add(Fact.of(
                    stops ? Change.INVERTER_LOW_SOC : Change.INVERTER_LOW_SOC_OVER,
                    PERCENT * (stops ? levels.cutOffStateOfCharge() : levels.restartStateOfCharge()),
                    PERCENT * reads));
        }
    }

    /** Whether something stops it. */
    boolean stops() {
        return lowStop || highStop || chargeStop;
    }

    double dueSeconds(double now) {
        return offUntil > now ? Math.min(lowVoltage.dueSeconds(), offUntil) : lowVoltage.dueSeconds();
    }
}
