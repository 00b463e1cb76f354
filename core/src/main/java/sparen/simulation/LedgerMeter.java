package sparen.simulation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import sparen.power.ChargeRegulator;
import sparen.result.Ledger;
import sparen.series.Series;

/** Adds up a {@link Ledger} step by step, and the mean powers of each step for the trace. */
final class LedgerMeter {
    private static final int ARRAY = 0;
    private static final int AC_ARRAY = 1;
    private static final int SOURCE = 2;
    private static final int GENERATOR = 3;
    private static final int IMPORT = 4;
    private static final int EXPORT = 5;
    private static final int IDLE = 6;
    private static final int COIL = 7;
    private static final int BATTERY_LOSS = 8;
    private static final int CABLE_LOSS = 9;
    private static final int CONVERSION_LOSS = 10;
    private static final int CURTAILED = 11;
    private static final int CLIPPED = 12;
    private static final int STORED = 13;
    private static final int COST = 14;
    private static final int FLOWS = 15;
    private static final int SOURCES = 5;
    private static final int USES = 4;
    private static final int FIRST_LOAD = FLOWS + SOURCES * USES;

    private final Circuit circuit;
    private final int loads;
    private final double[] sums;
    private final double[] stepWatts = new double[TraceRecorder.POWERS];
    private final double[] from = new double[SOURCES];
    private final double[] to = new double[USES];
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
        sums = new double[FIRST_LOAD + 2 * loads];
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
        sums[BATTERY_LOSS] -= joules;
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
        sums[SOURCE] += direct;
        double idle = (circuit.idleWatts() + circuit.heaterWatts()) * step;
        sums[COIL] += circuit.coilWatts() * step;
        sums[CABLE_LOSS] += floating ? 0 : circuit.bus.cableJoules(step);
        idle += addConverters(step, floating);
        from[0] = sun;
        from[3] = 0;
        from[4] = 0;
        to[3] = 0;
        if (circuit.ac != null) {
            idle += addAc(step, floating);
        }
        sums[IDLE] += idle;
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
        sums[BATTERY_LOSS] += lost;
        lostInBattery = lost;
        return terminals;
    }

    private void addRest(double step) {
        double lost = 0;
        for (BatteryAtWork battery : circuit.batteries.all) {
            lost += battery.branch.lostJoules(Series.ORDER, step);
        }
        sums[BATTERY_LOSS] += lost;
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
            sums[FIRST_LOAD + load] += joules;
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
        for (int i = 0; i < loads; i++) {
            sums[FIRST_LOAD + i] += servedWatts[i] * elapsed;
            sums[FIRST_LOAD + loads + i] += unservedWatts[i] * elapsed;
        }
        sums[CABLE_LOSS] += heldCableWatts * elapsed;
        elapsed = 0;
    }

    private double addControllers(double start, double step, boolean floating) {
        double takenInAll = 0;
        for (int i = 0; i < circuit.controllers.length; i++) {
            ControllerAtWork controller = circuit.controllers[i];
            double output = floating ? 0 : circuit.controllerJoules(i, step);
            double taken = output / controller.controller.efficiency();
            double had = controller.input.joules(start, start + step);
            double left = Math.max(0, had - taken);
            sums[ARRAY] += had;
            sums[CONVERSION_LOSS] += taken - output;
            takenInAll += taken;
            if (controller.regulator.limit() == ChargeRegulator.Limit.CURRENT) {
                sums[CLIPPED] += left;
            } else {
                sums[CURTAILED] += left;
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
                sums[CONVERSION_LOSS] += (converter.inputWatts() - own - converter.outputWatts()) * step;
            }
        }
        return idle;
    }

    private double addAc(double step, boolean floating) {
        AcAtWork ac = circuit.ac;
        double charger = floating ? 0 : circuit.chargerJoules(step);
        sums[COST] += ac.count(step, charger);
        double sun = ac.sunWatts() * step;
        sums[AC_ARRAY] += sun;
        sums[CURTAILED] += ac.energies.curtailedJoules;
        sums[EXPORT] += ac.energies.exportJoules;
        boolean byGenerator = ac.importsFromGenerator();
        sums[byGenerator ? GENERATOR : IMPORT] += ac.energies.importJoules;
        sums[CONVERSION_LOSS] += ac.energies.chargerJoules - charger;
        from[0] += ac.energies.sunUsedJoules;
        from[byGenerator ? 3 : 4] = ac.energies.importJoules;
        to[3] = ac.energies.exportJoules;
        double draw = circuit.inverterDrawWatts() * step;
        double invertedFrom = 0;
        double idle = 0;
        if (ac.side.sourceAtHand() >= 0) {
            idle = ac.side.inverter().idleWatts() * step;
            invertedFrom = ac.side.assistWatts() * step;
            sums[CONVERSION_LOSS] += draw > 0 ? draw - idle - invertedFrom : 0;
        } else if (draw > 0 && ac.side.isSearching()) {
            idle = draw;
        } else if (draw > 0) {
            idle = ac.side.inverter().idleWatts() * step;
            invertedFrom = Math.max(0, circuit.acLoadWatts() - ac.sunWatts()) * step;
            sums[CONVERSION_LOSS] += draw - idle - invertedFrom;
        }
        stepWatts[TraceRecorder.AC_SOURCE] = ac.energies.importJoules / step;
        stepWatts[TraceRecorder.GENERATOR] = byGenerator ? ac.energies.importJoules / step : 0;
        stepWatts[TraceRecorder.TAKEN] -= ac.energies.curtailedJoules / step;
        return idle;
    }

    /** Gives each use its energy from the first source that has some left. */
    private void attribute() {
        for (int source = 0; source < SOURCES; source++) {
            double left = from[source];
            for (int use = 0; use < USES && left > 0; use++) {
                boolean chargesItself = source == 2 && use == 1;
                double taken = chargesItself ? 0 : Math.min(left, to[use]);
                sums[FLOWS + source * USES + use] += taken;
                to[use] -= taken;
                left -= taken;
            }
        }
    }

    /** A copy of all sums so far, with what is stored brought up to date. */
    double[] snapshot() {
        flush();
        double now = storedJoules();
        sums[STORED] += now - stored;
        stored = now;
        return sums.clone();
    }

    /** The ledger between two snapshots. */
    Ledger between(double[] before, double[] after) {
        double[] d = after.clone();
        for (int i = 0; i < d.length; i++) {
            d[i] -= before == null ? 0 : before[i];
        }
        List<List<Double>> flows = new ArrayList<>();
        for (int source = 0; source < SOURCES; source++) {
            int first = FLOWS + source * USES;
            flows.add(Arrays.stream(d, first, first + USES).boxed().toList());
        }
        return new Ledger(
                d[ARRAY],
                d[AC_ARRAY],
                d[SOURCE],
                d[GENERATOR],
                d[IMPORT],
                d[STORED],
                byLoad(d, FIRST_LOAD, false),
                byLoad(d, FIRST_LOAD, true),
                d[EXPORT],
                d[IDLE],
                d[COIL],
                d[BATTERY_LOSS],
                d[CABLE_LOSS],
                d[CONVERSION_LOSS],
                d[CURTAILED],
                d[CLIPPED],
                byLoad(d, FIRST_LOAD + loads, false),
                new Ledger.Flows(flows),
                d[COST]);
    }

    private Map<String, Double> byLoad(double[] joules, int first, boolean diversion) {
        List<String> ids = circuit.loadIds();
        Map<String, Double> map = new LinkedHashMap<>();
        for (int i = 0; i < loads; i++) {
            if (circuit.loads[i].load.diverts() == diversion) {
                map.put(ids.get(i), joules[first + i]);
            }
        }
        return map;
    }
}
