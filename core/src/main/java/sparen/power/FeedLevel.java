package sparen.power;

import sparen.logic.Timer;
import sparen.program.AcProgram;
import sparen.program.AcProgram.FeedLevels;
import sparen.program.AcProgram.SourcePriority;
import sparen.result.Change;
import sparen.result.Fact;

/** Whether battery or sun are enough to do without AC, each way for the delay of the levels. */
final class FeedLevel {
    private final AcProgram program;
    private final boolean bySun;
    private final Timer toAc;
    private final Timer toBattery;
    private boolean enough = true;

    FeedLevel(AcProgram program, boolean blends) {
        this.program = program;
        bySun = program.source() == SourcePriority.SUN_FIRST && !blends;
        toAc = new Timer(program.levelDelaySeconds());
        toBattery = new Timer(program.levelDelaySeconds());
    }

    /** Whether the battery's voltage decides. */
    boolean goesByVolts() {
        return program.goesByVolts();
    }

    /** The state of charge (fraction) at which it changes its mind, NaN where none does. */
    double stateOfCharge() {
        if (!program.goesByBattery() || program.goesByVolts()) {
            return Double.NaN;
        }
        FeedLevels levels = program.byStateOfCharge().get();
        return enough ? levels.toAcStateOfCharge() : levels.toBatteryStateOfCharge();
    }

    /** Looks at an instant (s); what it decided, null for nothing new. */
    Fact settle(double now, AcConditions on) {
        if (!bySun && !program.goesByBattery()) {
            return null;
        }
        toAc.observe(now, enough && isLow(on));
        toBattery.observe(now, !enough && isHigh(on));
        if (toAc.isDue(now)) {
            toAc.reset();
            enough = false;
            return told(Change.TO_AC, Change.TO_AC_SOC, Change.TO_AC_SUN);
        }
        if (toBattery.isDue(now)) {
            toBattery.reset();
            enough = true;
            return told(Change.TO_BATTERY, Change.TO_BATTERY_SOC, Change.TO_SUN);
        }
        return null;
    }

    private boolean isLow(AcConditions on) {
        if (bySun) {
            return !on.sunEnough;
        }
        return program.byStateOfCharge().isPresent()
                ? on.stateOfCharge <= program.byStateOfCharge().get().toAcStateOfCharge()
                : on.dcVolts <= program.toAcVolts();
    }

    private boolean isHigh(AcConditions on) {
        if (bySun) {
            return on.sunEnough;
        }
        return program.byStateOfCharge().isPresent()
                ? on.stateOfCharge > program.byStateOfCharge().get().toBatteryStateOfCharge()
                : on.dcVolts >= program.toBatteryVolts();
    }

    private Fact told(Change byVolts, Change byCharge, Change sun) {
        double delay = program.levelDelaySeconds();
        if (bySun) {
            return Fact.of(sun, delay);
        }
        if (program.byStateOfCharge().isEmpty()) {
            return Fact.of(byVolts, enough ? program.toBatteryVolts() : program.toAcVolts(), delay);
        }
        FeedLevels levels = program.byStateOfCharge().get();
        double level = enough ? levels.toBatteryStateOfCharge() : levels.toAcStateOfCharge();
        return Fact.of(byCharge, 100 * level, delay);
    }

    /** Whether AC is to feed. */
    boolean takesAc(boolean blends) {
        return program.source().takesAc(bySun && enough, enough, blends);
    }

    /** Whether the battery is above its level; true where none is set. */
    boolean isAboveLevel() {
        return bySun || enough;
    }

    double dueSeconds() {
        return Math.min(toAc.dueSeconds(), toBattery.dueSeconds());
    }
}
