package sparen.simulation;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.stream.Stream;
import sparen.logic.Signal;
import sparen.output.OutputAtWork;
import sparen.power.ChargeRegulator;
import sparen.program.Surroundings;
import sparen.series.Stay;
import sparen.site.SensePoint;
import sparen.site.Site;

/** What rules look at in one run: the present value of each signal, the interval in which nothing needs to look, and when it ends. */
final class SignalsAtWork {
    final double[] values;
    final double[] low;
    final double[] high;

    private final Surroundings around;
    private final Circuit circuit;
    private final OutputAtWork[] outputs;
    private final ClockAtWork[] clocks;
    private final SunAltitude sun;
    private final List<Request> requests;
    private final List<TalkLoss> talkLosses;
    private final int[] watched;
    private final BitSet used;
    private final boolean usesMinutes;
    private final SensePoint[] devicePoints;
    private final int[] deviceBranches;
    private final int[] deviceLoads;
    private final int[] points;
    private final int[] reports;
    private final int[] stages;
    private final int[] regulations;
    private final int[] arrays;
    private final int[] contacts;
    private final int[] hours;
    private final int[] requested;
    private double nextMinute;

    SignalsAtWork(Scenario scenario, Surroundings around, Circuit circuit, OutputAtWork[] outputs, SunAltitude sun) {
        this.around = around;
        this.circuit = circuit;
        this.outputs = outputs;
        this.sun = sun;
        requests = scenario.requests();
        talkLosses = scenario.talkLosses();
        values = new double[around.count()];
        low = new double[values.length];
        high = new double[values.length];
        clocks = Stream.of(outputs)
                .map(output -> output.output().clock())
                .map(clock -> clock.map(one -> new ClockAtWork(one, scenario)).orElse(null))
                .toArray(ClockAtWork[]::new);
        devicePoints = around.atDevices().toArray(SensePoint[]::new);
        deviceBranches = Stream.of(devicePoints)
                .mapToInt(point -> circuit.branchOf(point.device().orElseThrow()))
                .toArray();
        deviceLoads = Stream.of(devicePoints)
                .mapToInt(point -> circuit.loadIds().indexOf(point.device().orElseThrow()))
                .toArray();
        Site site = circuit.site;
        points = Stream.of(devicePoints).mapToInt(around::voltage).toArray();
        reports = site.monitors().stream()
                .mapToInt(one -> around.reportedCharge(one.id()))
                .toArray();
        stages = site.chargers().stream().mapToInt(around::stage).toArray();
        regulations = site.chargers().stream().mapToInt(around::regulationVolts).toArray();
        arrays = site.controllers().stream()
                .mapToInt(one -> around.signals().arrayVolts(one.id()))
                .toArray();
        contacts = Stream.of(outputs)
                .mapToInt(one -> around.contact(one.output().id()))
                .toArray();
        hours = Stream.of(outputs)
                .mapToInt(one -> around.ownHour(one.output().id()))
                .toArray();
        requested = around.requests().stream().mapToInt(around::request).toArray();
        used = used();
        watched = used.stream().toArray();
        usesMinutes = used.get(Signal.SURPLUS_WATTS) || Arrays.stream(arrays).anyMatch(used::get);
    }

    /** The signals that some rule looks at. */
    private BitSet used() {
        BitSet found = new BitSet();
        for (OutputAtWork one : outputs) {
            one.addSignals(found);
        }
        return found;
    }

    /** Takes the values of an instant (s) from the solved balance. */
    void read(double now) {
        values[Signal.BATTERY_VOLTS] = circuit.batteryVolts();
        values[Signal.BUS_VOLTS] = circuit.busVolts();
        values[Signal.STATE_OF_CHARGE] = circuit.batteries.counted();
        values[Signal.SUN_ALTITUDE_DEGREES] = sun.at(now);
        circuit.clock.moveTo(now);
        values[Signal.LOCAL_HOUR] = circuit.clock.hour(now);
        values[Signal.LOCAL_MONTH] = circuit.clock.month();
        values[Signal.LOCAL_WEEKDAY] = circuit.clock.weekday();
        values[Signal.BATTERY_CELSIUS] = circuit.thermal.celsius();
        values[Signal.AIR_CELSIUS] = circuit.thermal.sampledAirCelsius();
        values[Signal.BATTERY_AMPERES] = circuit.isFloating() ? 0 : circuit.bus.batteryCurrent()[0];
        for (int i = 0; i < circuit.monitors.length; i++) {
            values[reports[i]] = circuit.monitors[i].counter.reported();
        }
        for (int i = 0; i < outputs.length; i++) {
            values[contacts[i]] = outputs[i].isClosed() ? 1 : 0;
        }
        for (int i = 0; i < devicePoints.length; i++) {
            values[points[i]] = hasVoltage(i) ? circuit.bus.farVolts(deviceBranches[i])[0] : 0;
        }
        readRare(now);
    }

    /** What few programs look at. */
    private void readRare(double now) {
        if (used.get(Signal.AC_LOAD_WATTS)) {
            values[Signal.AC_LOAD_WATTS] = circuit.acLoadWatts();
        }
        if (used.get(Signal.AC_PRESENT)) {
            values[Signal.AC_PRESENT] = circuit.ac != null && circuit.ac.conditions.source >= 0 ? 1 : 0;
        }
        boolean silent = false;
        for (int i = 0; i < talkLosses.size(); i++) {
            silent |= now >= talkLosses.get(i).fromSeconds()
                    && now < talkLosses.get(i).toSeconds();
        }
        values[Signal.BMS_TALKS] = silent ? 0 : 1;
        if (used.get(Signal.FAULT)) {
            values[Signal.FAULT] = silent || circuit.hasFault() ? 1 : 0;
        }
        for (int charger = 0; charger < stages.length; charger++) {
            if (used.get(stages[charger]) || used.get(regulations[charger])) {
                ChargeRegulator regulator = charger < circuit.controllers.length
                        ? circuit.controllers[charger].regulator
                        : circuit.acCharger;
                values[stages[charger]] = regulator.stage().ordinal() + (regulator.isStopped() ? 0.5 : 0);
                values[regulations[charger]] = regulator.regulationVolts();
            }
        }
        for (int i = 0; i < around.requests().size(); i++) {
            values[requested[i]] = isMade(around.requests().get(i), now) ? 1 : 0;
        }
        for (int i = 0; i < clocks.length; i++) {
            if (clocks[i] != null) {
                values[hours[i]] = clocks[i].hour(now);
            }
        }
        if (usesMinutes && now >= nextMinute) {
            values[Signal.SURPLUS_WATTS] = circuit.sun.surplusWatts();
            // A rule that names a controller's arrays has been refused where their voltages are not told.
            for (int i = 0; i < circuit.controllers.length; i++) {
                if (used.get(arrays[i])) {
                    values[arrays[i]] = circuit.sun.arrayVolts(i);
                }
            }
        }
    }

    private boolean isMade(String request, double now) {
        for (int i = 0; i < requests.size(); i++) {
            if (requests.get(i).name().equals(request) && requests.get(i).isMade(now)) {
                return true;
            }
        }
        return false;
    }

    private boolean hasVoltage(int devicePoint) {
        if (deviceBranches[devicePoint] < 0 || circuit.isFloating()) {
            return false;
        }
        return devicePoints[devicePoint].place() != SensePoint.Place.BEHIND_CONTACT
                || deviceLoads[devicePoint] < 0
                || circuit.connected[deviceLoads[devicePoint]];
    }

    /** The device of an output is fed again; whether its clock has lost the time. */
    boolean reviveClock(int output, double now) {
        return clocks[output] != null && clocks[output].revive(now);
    }

    /** Whether all that is watched is still inside its interval. */
    boolean holdStill() {
        for (int i : watched) {
            if (!(values[i] >= low[i] && values[i] <= high[i])) {
                return false;
            }
        }
        return true;
    }

    /** Opens all intervals, to be narrowed anew. */
    void open() {
        Arrays.fill(low, Double.NEGATIVE_INFINITY);
        Arrays.fill(high, Double.POSITIVE_INFINITY);
    }

    /** Tells monitors between which of their reports nothing needs to look. */
    void tellMonitors() {
        for (int i = 0; i < reports.length; i++) {
            circuit.monitors[i].hear(low[reports[i]], high[reports[i]]);
        }
    }

    /** When the narrowed intervals of clocks and calendar end (s). */
    double clocksDue(double now) {
        double due = circuit.clock.nextHourExit(now, low[Signal.LOCAL_HOUR], high[Signal.LOCAL_HOUR]);
        due = Math.min(due, circuit.clock.nextMonthExit(low[Signal.LOCAL_MONTH], high[Signal.LOCAL_MONTH]));
        low[Signal.LOCAL_HOUR] = Double.NEGATIVE_INFINITY;
        high[Signal.LOCAL_HOUR] = Double.POSITIVE_INFINITY;
        for (int i = 0; i < clocks.length; i++) {
            if (clocks[i] != null) {
                int hour = hours[i];
                due = Math.min(due, clocks[i].nextExit(now, low[hour], high[hour]));
                low[hour] = Double.NEGATIVE_INFINITY;
                high[hour] = Double.POSITIVE_INFINITY;
            }
        }
        return due;
    }

    /** The next instant (s) at which a signal may change that has no series: the sun, a request, a whole minute. */
    double nextStop(double now) {
        double stop = sun.nextExit(now, low[Signal.SUN_ALTITUDE_DEGREES], high[Signal.SUN_ALTITUDE_DEGREES]);
        for (int i = 0; i < requests.size(); i++) {
            stop = Math.min(stop, after(now, requests.get(i).fromSeconds()));
            stop = Math.min(stop, after(now, requests.get(i).toSeconds()));
        }
        for (int i = 0; i < talkLosses.size(); i++) {
            stop = Math.min(stop, after(now, talkLosses.get(i).fromSeconds()));
            stop = Math.min(stop, after(now, talkLosses.get(i).toSeconds()));
        }
        if (usesMinutes) {
            nextMinute = 60 * (Math.floor(now / 60) + 1);
            stop = Math.min(stop, nextMinute);
        }
        return stop;
    }

    private static double after(double now, double at) {
        return at > now ? at : Double.POSITIVE_INFINITY;
    }

    /** Says within which intervals the signals with a series stay. */
    void watch(Stay stay, double[] charge) {
        stay.within(circuit.bus.batteryVolts(), low[Signal.BATTERY_VOLTS], high[Signal.BATTERY_VOLTS]);
        stay.within(circuit.bus.busVolts(), low[Signal.BUS_VOLTS], high[Signal.BUS_VOLTS]);
        stay.within(charge, low[Signal.STATE_OF_CHARGE], high[Signal.STATE_OF_CHARGE]);
        stay.within(circuit.bus.batteryCurrent(), low[Signal.BATTERY_AMPERES], high[Signal.BATTERY_AMPERES]);
        for (int i = 0; i < devicePoints.length; i++) {
            if (hasVoltage(i)) {
                stay.within(circuit.bus.farVolts(deviceBranches[i]), low[points[i]], high[points[i]]);
            }
        }
    }
}
