package sparen.simulation;

import java.util.Arrays;
import java.util.List;
import java.util.function.BooleanSupplier;
import sparen.logic.Signal;
import sparen.power.ChargeRegulator;
import sparen.quantity.Bounds;
import sparen.series.Series;
import sparen.site.ChargeController;

/** One run at work: the stepping, the search for events and what they set off. */
final class Run {
    private static final int STEPS_BETWEEN_QUESTIONS = 4096;
    private static final int MOST_ROUNDS = 1000;
    /** After an empty battery or a collapse loads are fed again from this state of charge (fraction), common practice. */
    private static final double RECOVERED_CHARGE = 0.02;

    private static final double LEAST_DEAD_SECONDS = 60;

    private final double end;
    private final Simulation.Settings settings;
    private final Circuit circuit;
    private final SunAltitude sun;
    private final OutputAtWork[] outputs;
    private final int[] outputOfLoad;
    private final EventLog log = new EventLog();
    private final LedgerMeter ledger;
    private final TraceRecorder trace;
    private final double[] signals = new double[Signal.COUNT];
    private final double[] low = new double[Signal.COUNT];
    private final double[] high = new double[Signal.COUNT];
    private final double[][] series;
    private final boolean[] wished;
    private double now;
    private double rulesDue = Double.NEGATIVE_INFINITY;
    private double deadUntil;
    private double lowestCharge = Double.POSITIVE_INFINITY;
    private double lowestChargeAt;
    private double lowestVolts = Double.POSITIVE_INFINITY;
    private double lowestVoltsAt;

    Run(Scenario scenario, Window window, Simulation.Settings settings) {
        this.settings = settings;
        end = scenario.durationSeconds();
        circuit = new Circuit(scenario);
        sun = new SunAltitude(scenario.weather().sunAltitudeDegrees());
        outputs = scenario.plan().program().outputs().stream()
                .map(output -> new OutputAtWork(output, circuit.site))
                .toArray(OutputAtWork[]::new);
        outputOfLoad = new int[circuit.connected.length];
        Arrays.fill(outputOfLoad, -1);
        List<String> loads = circuit.loadIds();
        for (int i = 0; i < outputs.length; i++) {
            for (String load : outputs[i].output().loads()) {
                outputOfLoad[loads.indexOf(load)] = i;
            }
        }
        wished = new boolean[outputOfLoad.length];
        ledger = new LedgerMeter(circuit);
        trace = new TraceRecorder(window);
        series = new double[][] {circuit.bus.batteryVolts(), circuit.bus.busVolts(), circuit.battery.charge()};
    }

    RunResult toEnd(BooleanSupplier cancelled) {
        long steps = 0;
        connectLoads();
        settle();
        while (now < end) {
            if (++steps % STEPS_BETWEEN_QUESTIONS == 0 && cancelled.getAsBoolean()) {
                throw new Simulation.RunCancelled();
            }
            step();
            settle();
        }
        return result(steps);
    }

    /** Goes on to the next instant at which anything can happen. */
    private void step() {
        double stop = nextStop();
        double wanted = stop - now;
        circuit.bus.expand(wanted, settings.voltsTolerance() / 10);
        double length = circuit.trim(wanted, settings.voltsTolerance());
        double exit = Math.min(circuit.firstExit(length, mostCharge()), signalExit(length));
        double taken = Math.min(length, exit);
        trace.add(now, taken, series, circuit.bus.order(), ledger.add(taken, wished));
        for (OutputAtWork output : outputs) {
            output.count(taken);
        }
        circuit.battery.advance(circuit.bus.order(), taken);
        circuit.bus.advance(taken);
        now = taken == wanted ? stop : now + taken;
    }

    private double nextStop() {
        double stop = Math.min(end, now + settings.longestStepSeconds());
        stop = Math.min(stop, circuit.nextInputChange());
        stop = Math.min(stop, rulesDue);
        for (int i = 0; i < circuit.regulators.size(); i++) {
            stop = Math.min(stop, circuit.regulators.get(i).dueSeconds());
        }
        if (circuit.isDead() && deadUntil > now) {
            stop = Math.min(stop, deadUntil);
        }
        double sunExit = sun.nextExit(now, low[Signal.SUN_ALTITUDE_DEGREES], high[Signal.SUN_ALTITUDE_DEGREES]);
        return Math.max(Math.min(stop, sunExit), now + Series.FINEST_SECONDS);
    }

    private double mostCharge() {
        boolean awaitsCharge = circuit.isDead() && circuit.battery.charge()[0] < RECOVERED_CHARGE;
        return awaitsCharge ? RECOVERED_CHARGE : Double.POSITIVE_INFINITY;
    }

    private double signalExit(double step) {
        double exit = Double.POSITIVE_INFINITY;
        for (int i = 0; i < series.length; i++) {
            if (low[i] > Double.NEGATIVE_INFINITY || high[i] < Double.POSITIVE_INFINITY) {
                exit = Math.min(exit, Series.firstExit(series[i], circuit.bus.order(), step, low[i], high[i]));
            }
        }
        return exit;
    }

    /** Takes the inputs of this instant and lets everything that is due happen. */
    private void settle() {
        circuit.moveInputs(now);
        balance();
        if (rulesHoldStill()) {
            return;
        }
        for (int round = 0; round < MOST_ROUNDS; round++) {
            boolean moved = false;
            for (OutputAtWork output : outputs) {
                moved |= settle(output);
            }
            if (!moved) {
                watch();
                return;
            }
        }
        throw new IllegalStateException("outputs do not settle at " + now + " s");
    }

    private boolean rulesHoldStill() {
        if (now >= rulesDue) {
            return false;
        }
        for (int i = 0; i < signals.length; i++) {
            if (!(signals[i] >= low[i] && signals[i] <= high[i])) {
                return false;
            }
        }
        return true;
    }

    private boolean settle(OutputAtWork output) {
        String reason = output.settle(now, signals);
        if (reason == null) {
            refreshWishes();
            return false;
        }
        report(
                output.isClosed() ? Event.Kind.CLOSED : Event.Kind.OPENED,
                output.output().id(),
                reason);
        if (output.beginsToChatter(now)) {
            report(
                    Event.Kind.CHATTER,
                    output.output().id(),
                    OutputAtWork.CHATTER_SWITCHINGS
                            + " switchings within a second; from here on each state is held for a second at least");
        }
        connectLoads();
        balance();
        return true;
    }

    private void watch() {
        Arrays.fill(low, Double.NEGATIVE_INFINITY);
        Arrays.fill(high, Double.POSITIVE_INFINITY);
        rulesDue = Double.POSITIVE_INFINITY;
        for (OutputAtWork output : outputs) {
            output.narrow(now, signals, low, high);
            rulesDue = Math.min(rulesDue, output.dueSeconds(now));
        }
    }

    private void connectLoads() {
        for (int i = 0; i < outputOfLoad.length; i++) {
            circuit.connected[i] = outputOfLoad[i] < 0 || outputs[outputOfLoad[i]].isClosed();
        }
        refreshWishes();
    }

    private void refreshWishes() {
        for (int i = 0; i < wished.length; i++) {
            wished[i] = outputOfLoad[i] < 0 || outputs[outputOfLoad[i]].wished();
        }
    }

    /** Solves the bus at this instant, with the controllers' stages and the loss of all loads where it comes to that. */
    private void balance() {
        reviveLoads();
        for (int round = 0; round < MOST_ROUNDS; round++) {
            solveOrLoseLoads();
            if (!changeStage()) {
                readSignals();
                return;
            }
        }
        throw new IllegalStateException("charge stages do not settle at " + now + " s");
    }

    private void solveOrLoseLoads() {
        boolean solved = circuit.solve();
        boolean empty = circuit.battery.charge()[0] <= 0 && circuit.bus.batteryCurrent()[0] < 0;
        if (solved && (!empty || circuit.isDead())) {
            return;
        }
        circuit.setDead(true);
        deadUntil = now + LEAST_DEAD_SECONDS;
        report(
                solved ? Event.Kind.EMPTY : Event.Kind.COLLAPSE,
                "",
                solved
                        ? "the battery is empty; every load is lost"
                        : "the battery cannot carry the loads at any voltage; every load is lost");
        if (!circuit.solve()) {
            throw new IllegalStateException("no balance even without loads at " + now + " s");
        }
    }

    private void reviveLoads() {
        if (circuit.isDead() && now >= deadUntil && circuit.battery.charge()[0] >= RECOVERED_CHARGE) {
            circuit.setDead(false);
            report(
                    Event.Kind.RECOVERED,
                    "",
                    "the battery is at 2 % again; loads are fed where their contacts are closed");
        }
    }

    private boolean changeStage() {
        for (int i = 0; i < circuit.regulators.size(); i++) {
            ChargeRegulator regulator = circuit.regulators.get(i);
            if (regulator.settleStage(now, circuit.controllerVolts(i))) {
                ChargeController controller = circuit.site.controllers().get(i);
                report(Event.Kind.STAGE, controller.id(), stageReason(regulator));
                return true;
            }
        }
        return false;
    }

    private static String stageReason(ChargeRegulator regulator) {
        String set = Bounds.number(regulator.regulationVolts()) + " V";
        return switch (regulator.stage()) {
            case BULK -> "new cycle: recharge level reached for its delay; bulk on the way to " + set;
            case ABSORPTION -> "absorption voltage " + set + " reached at its terminals";
            case FLOAT -> "absorption time is up; float at " + set;
        };
    }

    private void readSignals() {
        signals[Signal.BATTERY_VOLTS] = circuit.bus.batteryVolts()[0];
        signals[Signal.BUS_VOLTS] = circuit.bus.busVolts()[0];
        signals[Signal.STATE_OF_CHARGE] = circuit.battery.charge()[0];
        signals[Signal.SUN_ALTITUDE_DEGREES] = sun.at(now);
        if (signals[Signal.STATE_OF_CHARGE] < lowestCharge) {
            lowestCharge = signals[Signal.STATE_OF_CHARGE];
            lowestChargeAt = now;
        }
        if (signals[Signal.BATTERY_VOLTS] < lowestVolts) {
            lowestVolts = signals[Signal.BATTERY_VOLTS];
            lowestVoltsAt = now;
        }
    }

    private void report(Event.Kind kind, String subject, String reason) {
        log.add(new Event(
                now,
                kind,
                subject,
                reason,
                signals[Signal.BATTERY_VOLTS],
                circuit.battery.charge()[0]));
    }

    private RunResult result(long steps) {
        boolean chattered = Arrays.stream(outputs).anyMatch(OutputAtWork::hasChattered);
        return new RunResult(
                chattered ? RunResult.Status.CHATTERING : RunResult.Status.FINISHED,
                log.events(),
                log.leftOut(),
                ledger.ledger(),
                Arrays.stream(outputs).map(OutputAtWork::figures).toList(),
                new RunResult.Lowest(lowestCharge, lowestChargeAt),
                new RunResult.Lowest(lowestVolts, lowestVoltsAt),
                circuit.battery.charge()[0],
                circuit.bus.batteryVolts()[0],
                circuit.bus.batteryCurrent()[0],
                steps,
                trace.finish());
    }
}
