package sparen.simulation;

import java.util.List;
import sparen.battery.BatteryCircuit;
import sparen.battery.BatteryModel;
import sparen.battery.BmsAtWork;
import sparen.power.BatteryBranch;
import sparen.result.Fact;
import sparen.series.Stay;
import sparen.site.Ageing;
import sparen.site.BatteryBank;
import sparen.site.Bms;
import sparen.site.ParallelBattery;

/** A battery with its BMS in one run; stands for several that are alike, which stay alike. */
final class BatteryAtWork implements Part {
    /** An empty battery among others gives again when it is filled so far (fraction of all there is in it); judgement. */
    private static final double REFILLED_CHARGE = 0.005;

    final BatteryBranch branch;
    final String id;
    final int count;
    final double capacityCoulombs;
    private final BmsAtWork bms;
    private double quietDue = Double.NEGATIVE_INFINITY;
    private double lowVolts = Double.POSITIVE_INFINITY;
    private double highVolts = Double.NEGATIVE_INFINITY;
    private double lowAmperes = Double.POSITIVE_INFINITY;
    private double highAmperes = Double.NEGATIVE_INFINITY;
    private boolean spent;
    private double settledCelsius = Double.NaN;
    private boolean wasHeard = true;

    private BatteryAtWork(String id, int count, BatteryModel model, BatteryBranch branch, BmsAtWork bms) {
        this.id = id;
        capacityCoulombs = model.capacityCoulombs();
        this.count = count;
        this.branch = branch;
        this.bms = bms;
    }

    /** A bank's battery that stands for so many alike. */
    static BatteryAtWork of(BatteryBank bank, ParallelBattery one, int count, double cableCelsius) {
        BatteryModel model = BatteryModel.part(
                bank, one.capacityShare() * count, one.ageing().orElse(Ageing.NONE));
        double start = Math.max(0, Math.min(1, bank.startStateOfCharge() + one.chargeOffset()));
        BatteryBranch branch =
                new BatteryBranch(new BatteryCircuit(model, start), one.cable().loopOhms(cableCelsius) / count);
        return new BatteryAtWork(
                one.id(), count, model, branch, one.bms().map(BmsAtWork::new).orElse(null));
    }

    /** A bank that is one battery without a BMS. */
    static BatteryAtWork whole(BatteryBank bank) {
        BatteryModel model = BatteryModel.of(bank);
        BatteryBranch branch = new BatteryBranch(new BatteryCircuit(model, bank.startStateOfCharge()), 0);
        return new BatteryAtWork("battery", 1, model, branch, null);
    }

    /** One of several that has nothing left gives no more, until it has been charged a little; whether that has just changed. */
    boolean settleEmpty() {
        boolean next = spent
                ? branch.circuit().filled() < REFILLED_CHARGE
                : branch.circuit().isEmpty();
        boolean changed = next != spent;
        spent = next;
        if (changed) {
            setPaths();
        }
        return changed;
    }

    private void setPaths() {
        branch.setPaths(bms == null || bms.mayCharge(), (bms == null || bms.mayDischarge()) && !spent);
    }

    /**
     * Lets its BMS look at an instant (s).
     *
     * @param shownVolts what a charger shows it from outside while it sleeps (V)
     * @param heard whether something talks to it on its data line
     * @return why, when a path moved; null when none did
     */
    List<Fact> settle(double seconds, double shownVolts, boolean heard) {
        if (bms == null) {
            return null;
        }
        double volts = branch.terminalVolts()[0];
        double amperes = branch.current()[0] / count;
        double celsius = branch.circuit().celsius();
        boolean quiet = seconds < quietDue
                && volts >= lowVolts
                && volts <= highVolts
                && amperes >= lowAmperes
                && amperes <= highAmperes
                && celsius == settledCelsius
                && heard == wasHeard
                && !bms.isAsleep();
        if (quiet) {
            return null;
        }
        boolean moved = bms.settle(seconds, volts, amperes, celsius, shownVolts, heard);
        setPaths();
        settledCelsius = celsius;
        wasHeard = heard;
        quietDue = bms.dueSeconds();
        lowVolts = bms.lowestVolts(volts);
        highVolts = bms.highestVolts(volts);
        lowAmperes = bms.lowestAmperes(amperes);
        highAmperes = bms.highestAmperes(amperes);
        return moved ? bms.causes() : null;
    }

    /** Whether it waits for a charger to show it a voltage. */
    boolean isAsleep() {
        return bms != null && bms.isAsleep();
    }

    /** What has become of its paths, given what they were. */
    List<Fact> changesFrom(boolean couldCharge, boolean couldDischarge) {
        return bms.changesFrom(couldCharge, couldDischarge);
    }

    @Override
    public void watch(Stay stay, Circuit circuit) {
        branch.watch(stay, circuit.bus.batteryVolts());
        watchBms(stay);
    }

    /** The same while it has no bus. */
    void watchAlone(Stay stay) {
        branch.circuit().watch(stay);
        watchBms(stay);
    }

    private void watchBms(Stay stay) {
        if (bms != null) {
            stay.within(branch.terminalVolts(), lowVolts, highVolts);
            stay.within(branch.current(), lowAmperes * count, highAmperes * count);
        }
    }

    @Override
    public double dueSeconds() {
        return bms == null ? Double.POSITIVE_INFINITY : quietDue;
    }

    @Override
    public String toString() {
        return "battery " + branch.circuit().charge()[0] + " of full, " + branch.current()[0] + " A";
    }

    boolean mayDischarge() {
        return bms == null || bms.mayDischarge();
    }

    boolean mayCharge() {
        return bms == null || bms.mayCharge();
    }

    double idleWatts() {
        return bms == null ? 0 : bms.settings().idleWatts() * count;
    }

    /** What its BMS asks for, null where it does not talk. */
    Bms settings() {
        return bms == null ? null : bms.settings();
    }
}
