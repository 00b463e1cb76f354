package sparen.simulation;

import sparen.power.ChargeRegulator;
import sparen.series.Series;

/** Adds up a {@link sparen.result.Ledger} step by step, and the mean powers of each step for the trace. */
final class LedgerMeter {
    final LedgerSums places;
    private final Circuit circuit;
    private final int loads;
    private final double[] sums;
    private final double[] stepWatts = new double[TraceRecorder.POWERS];
    private final double[] from = new double[LedgerSums.SOURCES];
    private final double[] to = new double[LedgerSums.USES];
    private final double[] servedWatts;
    private final double[] unservedWatts;
    private final int[] byVoltage;
    private int byVoltageCount;
    private double usedWatts;
    private double divertedWatts;
    private double missingWatts;
    private double heldCableWatts;
    private double elapsed;
    private boolean touched = true;
    private int version = -1;
    private double stored;
    private double lostInBattery;

    LedgerMeter(Circuit circuit) {
        this.circuit = circuit;
        loads = circuit.loads.length;
        places = new LedgerSums(circuit.site.loads());
        sums = new double[places.count()];
        servedWatts = new double[loads];
        unservedWatts = new double[loads];
        byVoltage = new int[loads];
        stored = storedJoules();
    }

    private double storedJoules() {
        double joules = 0;
        for (BatteryAtWork battery : circuit.batteries.all) {
            joules += battery.branch.circuit().storedJoules();
        }
        return joules;
    }

    /** Takes what the stores gained from their surroundings by a change of temperature (J): a loss the other way round. */
    void gainByTemperature(double joules) {
        sums[LedgerSums.BATTERY_LOSS] -= joules;
    }

    /**
     * Takes a step (s) from an instant (s) into the sums.
     *
     * @param needed for each load whether it is wanted
     * @return mean powers over the step in the trace's order (W); reused by the next call
     */
    double[] add(double start, double step, boolean[] needed) {
        boolean floating = circuit.isFloating();
        double battery = floating ? 0 : addBatteries(step);
        if (floating) {
            addRest(step);
        }
        double diverted = addLoads(step, needed);
        double sun = addControllers(start, step, floating);
        double direct = floating ? 0 : circuit.sourceJoules(step);
        sums[LedgerSums.SOURCE] += direct;
        double idle = (circuit.idleWatts() + circuit.heaterWatts()) * step;
        sums[LedgerSums.COIL] += circuit.coilWatts() * step;
        sums[LedgerSums.CABLE_LOSS] += floating ? 0 : circuit.bus.cableJoules(step);
        idle += addConverters(step, floating);
        from[0] = sun;
        from[3] = 0;
        from[4] = 0;
        to[3] = 0;
        if (circuit.ac != null) {
            idle += addAc(step, floating);
        }
        sums[LedgerSums.IDLE] += idle;
        from[1] = direct;
        from[2] = Math.max(0, -battery);
        to[1] = Math.max(0, battery);
        to[2] = diverted;
        to[0] = Math.max(0, from[0] + from[1] + from[2] + from[3] + from[4] - to[1] - to[2] - to[3]);
        attribute();
        stepWatts[TraceRecorder.TO_BATTERY] = Math.max(0, battery) / step;
        stepWatts[TraceRecorder.FROM_BATTERY] = Math.max(0, -battery) / step;
        return stepWatts;
    }

    private double addBatteries(double step) {
        int order = circuit.bus.order();
        double lost = 0;
        double terminals = 0;
        for (BatteryAtWork battery : circuit.batteries.all) {
            lost += battery.branch.lostJoules(order, step);
            terminals +=
                    Series.integralOfProduct(battery.branch.terminalVolts(), battery.branch.current(), order, step);
        }
        sums[LedgerSums.BATTERY_LOSS] += lost;
        lostInBattery = lost;
        return terminals;
    }

    private void addRest(double step) {
        double lost = 0;
        for (BatteryAtWork battery : circuit.batteries.all) {
            lost += battery.branch.lostJoules(Series.ORDER, step);
        }
        sums[LedgerSums.BATTERY_LOSS] += lost;
        lostInBattery = lost;
    }

    /** Heat and gas in the batteries during the last step (J). */
    double lostInBattery() {
        return lostInBattery;
    }

    /** Something that decides what is served or needed has changed. */
    void touch() {
        touched = true;
    }

    /** Loads of given power draw the same until something changes: they are summed up only then. */
    private double addLoads(double step, boolean[] needed) {
        if (touched || circuit.loadVersion() != version) {
            flush();
            gather(needed);
            touched = false;
            version = circuit.loadVersion();
        }
        elapsed += step;
        double used = usedWatts * step;
        double diverted = divertedWatts * step;
        for (int i = 0; i < byVoltageCount; i++) {
            int load = byVoltage[i];
            double joules = circuit.mainLoadJoules(load, step);
            sums[LedgerSums.FIRST_LOAD + load] += joules;
            if (circuit.loads[load].load.diverts()) {
                diverted += joules;
            } else {
                used += joules;
            }
        }
        stepWatts[TraceRecorder.USED] = used / step;
        stepWatts[TraceRecorder.DIVERTED] = diverted / step;
        stepWatts[TraceRecorder.UNSERVED] = missingWatts;
        return diverted;
    }

    private void gather(boolean[] needed) {
        usedWatts = 0;
        divertedWatts = 0;
        missingWatts = 0;
        heldCableWatts = 0;
        byVoltageCount = 0;
        for (int i = 0; i < loads; i++) {
            LoadAtWork load = circuit.loads[i];
            boolean diversion = load.load.diverts();
            servedWatts[i] = 0;
            unservedWatts[i] = 0;
            if (!circuit.isServed(i)) {
                unservedWatts[i] = needed[i] && !diversion ? load.wantedWatts() : 0;
                missingWatts += unservedWatts[i];
            } else if (load.isPower()) {
                servedWatts[i] = load.watts();
                usedWatts += diversion ? 0 : load.watts();
                divertedWatts += diversion ? load.watts() : 0;
                heldCableWatts += circuit.heldCableWatts(i);
            } else {
                byVoltage[byVoltageCount++] = i;
            }
        }
    }

    private void flush() {
        addElapsed(sums);
        elapsed = 0;
    }

    private void addElapsed(double[] into) {
        for (int i = 0; i < loads; i++) {
            into[LedgerSums.FIRST_LOAD + i] += servedWatts[i] * elapsed;
            into[LedgerSums.FIRST_LOAD + loads + i] += unservedWatts[i] * elapsed;
        }
        into[LedgerSums.CABLE_LOSS] += heldCableWatts * elapsed;
    }

    private double addControllers(double start, double step, boolean floating) {
        double takenInAll = 0;
        for (int i = 0; i < circuit.controllers.length; i++) {
            ControllerAtWork controller = circuit.controllers[i];
            double output = floating ? 0 : circuit.controllerJoules(i, step);
            double taken = output / controller.controller.efficiency();
            double had = controller.input.joules(start, start + step);
            double left = Math.max(0, had - taken);
            sums[LedgerSums.ARRAY] += had;
            sums[LedgerSums.CONVERSION_LOSS] += taken - output;
            takenInAll += taken;
            if (controller.regulator.limit() == ChargeRegulator.Limit.CURRENT) {
                sums[LedgerSums.CLIPPED] += left;
            } else {
                sums[LedgerSums.CURTAILED] += left;
            }
        }
        stepWatts[TraceRecorder.TAKEN] = takenInAll / step;
        return takenInAll;
    }

    private double addConverters(double step, boolean floating) {
        double idle = 0;
        for (ConverterAtWork converter : circuit.converters) {
            if (converter.isAlive() && !circuit.isDead() && !floating) {
                double own = converter.converter.idleWatts();
                idle += own * step;
                sums[LedgerSums.CONVERSION_LOSS] += (converter.inputWatts() - own - converter.outputWatts()) * step;
            }
        }
        return idle;
    }

    private double addAc(double step, boolean floating) {
        AcAtWork ac = circuit.ac;
        double charger = floating ? 0 : circuit.chargerJoules(step);
        sums[LedgerSums.COST] += ac.count(step, charger);
        double sun = ac.sunWatts() * step;
        sums[LedgerSums.AC_ARRAY] += sun;
        sums[LedgerSums.CURTAILED] += ac.energies.curtailedJoules;
        sums[LedgerSums.EXPORT] += ac.energies.exportJoules;
        boolean byGenerator = ac.importsFromGenerator();
        double byEngine = ac.sources.generatorJoules + (byGenerator ? ac.energies.importJoules : 0);
        double byGrid = ac.sources.feederJoules + (byGenerator ? 0 : ac.energies.importJoules);
        sums[LedgerSums.GENERATOR] += byEngine;
        sums[LedgerSums.IMPORT] += byGrid;
        sums[LedgerSums.CONVERSION_LOSS] += ac.energies.chargerJoules - charger;
        from[0] += ac.energies.sunUsedJoules;
        from[3] = byEngine;
        from[4] = byGrid;
        to[3] = ac.energies.exportJoules;
        double draw = circuit.inverterDrawWatts() * step;
        double invertedFrom = 0;
        double idle = 0;
        if (ac.side.sourceAtHand() >= 0) {
            idle = ac.side.inverter().idleWatts() * step;
            invertedFrom = ac.side.assistWatts() * step;
            sums[LedgerSums.CONVERSION_LOSS] += draw > 0 ? draw - idle - invertedFrom : 0;
        } else if (draw > 0 && ac.side.isSearching()) {
            idle = draw;
        } else if (draw > 0) {
            idle = ac.side.inverter().idleWatts() * step;
            invertedFrom = Math.max(0, circuit.acLoadWatts() - ac.sunWatts()) * step;
            sums[LedgerSums.CONVERSION_LOSS] += draw - idle - invertedFrom;
        }
        stepWatts[TraceRecorder.AC_SOURCE] = (byEngine + byGrid) / step;
        stepWatts[TraceRecorder.GENERATOR] = byEngine / step;
        stepWatts[TraceRecorder.TAKEN] -= ac.energies.curtailedJoules / step;
        return idle;
    }

    /** Gives each use its energy from the first source that has some left. */
    private void attribute() {
        for (int source = 0; source < LedgerSums.SOURCES; source++) {
            double left = from[source];
            for (int use = 0; use < LedgerSums.USES && left > 0; use++) {
                boolean chargesItself = source == 2 && use == 1;
                double taken = chargesItself ? 0 : Math.min(left, to[use]);
                sums[LedgerSums.FLOWS + source * LedgerSums.USES + use] += taken;
                to[use] -= taken;
                left -= taken;
            }
        }
    }

    /** A copy of all sums so far, with what is not yet among them; nothing of the meter itself moves by it. */
    double[] look() {
        double[] seen = sums.clone();
        addElapsed(seen);
        seen[LedgerSums.STORED] += storedJoules() - stored;
        return seen;
    }

    /** A copy of all sums so far, with what is stored brought up to date. */
    double[] snapshot() {
        flush();
        double now = storedJoules();
        sums[LedgerSums.STORED] += now - stored;
        stored = now;
        return sums.clone();
    }
}
