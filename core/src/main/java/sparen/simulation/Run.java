package sparen.simulation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import sparen.logic.Signal;
import sparen.output.EventLog;
import sparen.output.OutputAtWork;
import sparen.power.ChargeRegulator;
import sparen.program.Surroundings;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.FeederFigures;
import sparen.result.GeneratorFigures;
import sparen.result.OutputFigures;
import sparen.result.PartEvent;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.series.Series;
import sparen.series.Stay;

/** One run at work: the stepping, the search for events and what they set off. */
final class Run {
    private static final int STEPS_BETWEEN_QUESTIONS = 4096;
    private static final int MOST_ROUNDS = 1000;
    private static final int MOST_STEPS_A_SECOND = 20_000;
    /** After an empty battery or a collapse loads are fed again when it is filled so far (fraction of all there is in it), common practice. */
    private static final double RECOVERED_SHARE = 0.02;

    private static final double LEAST_DEAD_SECONDS = 60;
    /** Without a bus only the batteries' own rebound goes on; it is followed in steps of this (s) at most. */
    private static final double LONGEST_REST_SECONDS = 20;

    private final double end;
    private final Simulation.Settings settings;
    private final Circuit circuit;
    private final StepLength stepLength;
    private final Stay stay = new Stay();
    private final OutputAtWork[] outputs;
    private final int[] supplyOfOutput;
    private final Targets targets;
    private final EventLog log = new EventLog();
    private final List<PartEvent> moved = new ArrayList<>();
    private final LedgerMeter ledger;
    private final WearMeter wear;
    private final DayMeter days;
    private final TraceRecorder trace;
    private final Optional<Recording> recording;
    private final SignalsAtWork signals;
    private final double[][] series = new double[Signal.STATE_OF_CHARGE + 1][];
    private final double[] chargeSeries = Series.zero();
    private final boolean[] needed;
    private double now;
    private double rulesDue = Double.NEGATIVE_INFINITY;
    private double deadUntil;
    private double progressAt;
    private int stepsSinceProgress;
    private final double recoveredCharge;
    private double lowestCharge = Double.POSITIVE_INFINITY;
    private double lowestChargeAt;
    private double lowestVolts = Double.POSITIVE_INFINITY;
    private double lowestVoltsAt;

    Run(
            Scenario scenario,
            SiteInputs inputs,
            Window window,
            Optional<Recording> recording,
            Simulation.Settings settings) {
        this.recording = recording;
        this.settings = settings;
        end = scenario.durationSeconds();
        circuit = new Circuit(scenario, inputs);
        stepLength = new StepLength(circuit);
        Surroundings around = Surroundings.of(scenario.plan());
        outputs = around.outputs().stream()
                .map(output -> new OutputAtWork(output, around))
                .toArray(OutputAtWork[]::new);
        supplyOfOutput = new int[outputs.length];
        for (int i = 0; i < outputs.length; i++) {
            supplyOfOutput[i] =
                    outputs[i].output().supply().map(circuit::feedNumber).orElse(0);
        }
        targets = new Targets(circuit, outputs);
        needed = new boolean[circuit.loads.length];
        ledger = new LedgerMeter(circuit);
        wear = new WearMeter(circuit.batteries, outputs);
        recoveredCharge = circuit.batteries.countedAt(RECOVERED_SHARE);
        days = new DayMeter(circuit.clock, ledger);
        trace = new TraceRecorder(window, inputs.controllers, circuit.ac != null);
        signals = new SignalsAtWork(scenario, around, circuit, outputs, new SunAltitude(inputs.sinesOfAltitude));
        series[Signal.BATTERY_VOLTS] = circuit.bus.batteryVolts();
        series[Signal.BUS_VOLTS] = circuit.bus.busVolts();
        series[Signal.STATE_OF_CHARGE] = circuit.batteries.all.length == 1
                ? circuit.batteries.all[0].branch.circuit().charge()
                : chargeSeries;
    }

    RunResult toEnd(Simulation.Watch watch) {
        long steps = 0;
        connect();
        recording.ifPresent(kept -> kept.add(Tally.of(now, circuit, outputs, ledger)));
        settle();
        while (now < end) {
            if (++steps % STEPS_BETWEEN_QUESTIONS == 0 && watch.stops(now, days::days)) {
                throw new Simulation.RunCancelled();
            }
            step();
            settle();
            watchProgress();
        }
        return result(steps);
    }

    /** A run that hardly moves is a fault of the engine: it is told, and does not hang. */
    private void watchProgress() {
        if (now >= progressAt + 1) {
            progressAt = now;
            stepsSinceProgress = 0;
        } else if (++stepsSinceProgress > MOST_STEPS_A_SECOND) {
            throw new IllegalStateException("the run creeps at " + now + " s: " + stepLength.describe());
        }
    }

    /** Goes on to the next instant at which anything can happen. */
    private void step() {
        double stop = nextStop();
        double wanted = stop - now;
        double length = circuit.isFloating() ? restingLength(wanted) : flowingLength(wanted);
        double[] watts = ledger.add(now, length, needed);
        double celsius = circuit.thermal.celsius();
        int ac = circuit.acStanding();
        trace.add(now, length, series, circuit.bus.order(), watts, celsius, ac);
        if (recording.isPresent()) {
            recording.get().add(now, length, series, circuit.bus.order(), watts, celsius, ac);
        }
        for (OutputAtWork output : outputs) {
            output.count(now, length);
        }
        circuit.advance(length, ledger.lostInBattery());
        wear.count(length, circuit.thermal.celsius());
        now = length == wanted ? stop : now + length;
        if (recording.isPresent() && recording.get().counts(now)) {
            recording.get().add(Tally.of(now, circuit, outputs, ledger));
        }
    }

    private double flowingLength(double wanted) {
        circuit.bus.expand(wanted, settings.voltsTolerance());
        if (series[Signal.STATE_OF_CHARGE] == chargeSeries) {
            circuit.batteries.chargeSeries(chargeSeries, circuit.bus.order());
        }
        double length = stepLength.trim(wanted, settings.voltsTolerance());
        double exit = Math.min(stepLength.firstExit(length), signalExit(length));
        return Math.min(length, exit);
    }

    private double restingLength(double wanted) {
        circuit.bus.rest();
        circuit.batteries.rest(circuit.bus.order());
        circuit.batteries.chargeSeries(chargeSeries, circuit.bus.order());
        double length = Math.min(wanted, LONGEST_REST_SECONDS);
        return Math.min(length, stepLength.restingExit(length));
    }

    private double nextStop() {
        double stop = Math.min(end, now + settings.longestStepSeconds());
        stop = Math.min(stop, Math.min(circuit.dueSeconds(), rulesDue));
        stop = Math.min(stop, circuit.clock.nextDay());
        if (circuit.isDead() && deadUntil > now) {
            stop = Math.min(stop, deadUntil);
        }
        return Math.max(Math.min(stop, signals.nextStop(now)), now + Series.FINEST_SECONDS);
    }

    private double signalExit(double step) {
        double[] charged = series[Signal.STATE_OF_CHARGE];
        stay.begin(circuit.bus.order(), step);
        signals.watch(stay, charged);
        if (circuit.isDead() && charged[0] < recoveredCharge) {
            stay.within(charged, Double.NEGATIVE_INFINITY, recoveredCharge);
        }
        if (circuit.acGoesByTrueCharge()) {
            stay.within(charged, circuit.ac.lowestCharge(charged[0]), circuit.ac.highestCharge(charged[0]));
        }
        return stay.exitSeconds();
    }

    /** Takes the inputs of this instant and lets everything that is due happen. */
    private void settle() {
        if (now >= circuit.clock.nextDay()) {
            days.endDay(now);
        }
        circuit.moveInputs(now, moved);
        ledger.gainByTemperature(circuit.takeThermal(now));
        balance();
        if (rulesHoldStill()) {
            return;
        }
        for (int round = 0; round < MOST_ROUNDS; round++) {
            boolean switched = false;
            for (int i = 0; i < outputs.length; i++) {
                switched |= settle(i);
            }
            if (!switched) {
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
        if (!signals.holdStill()) {
            return false;
        }
        return suppliesHoldStill();
    }

    private boolean suppliesHoldStill() {
        for (int i = 0; i < outputs.length; i++) {
            if (outputs[i].isFed() != isFed(i)) {
                return false;
            }
        }
        return true;
    }

    private boolean isFed(int output) {
        return supplyOfOutput[output] == 0 ? !circuit.isFloating() : circuit.feedIsAlive(supplyOfOutput[output]);
    }

    private boolean settle(int index) {
        OutputAtWork output = outputs[index];
        if (output.supply(isFed(index)) && signals.reviveClock(index, now)) {
            report(Event.Kind.CLOCK, output.output().id(), Fact.of(Change.CLOCK_LOST));
            signals.read(now);
        }
        List<Fact> reason = output.settle(now, signals.values);
        if (reason != null) {
            report(
                    output.isClosed() ? Event.Kind.CLOSED : Event.Kind.OPENED,
                    output.output().id(),
                    reason);
        }
        Optional<Fact> news = output.takeLockoutNews(now);
        if (news.isPresent()) {
            report(Event.Kind.LOCKOUT, output.output().id(), List.of(news.get()));
        }
        if (reason == null) {
            refreshNeeds();
            return false;
        }
        if (output.beginsToChatter(now)) {
            report(Event.Kind.CHATTER, output.output().id(), Fact.of(Change.CHATTERS, OutputAtWork.CHATTER_SWITCHINGS));
        }
        connect();
        balance();
        return true;
    }

    private void watch() {
        signals.open();
        rulesDue = Double.POSITIVE_INFINITY;
        for (OutputAtWork output : outputs) {
            output.narrow(now, signals.values, signals.low, signals.high);
            rulesDue = Math.min(rulesDue, output.dueSeconds(now));
        }
        signals.tellMonitors();
        rulesDue = Math.min(rulesDue, signals.clocksDue(now));
    }

    private void connect() {
        targets.connect(outputs);
        refreshNeeds();
    }

    private void refreshNeeds() {
        for (int i = 0; i < needed.length; i++) {
            boolean now = targets.outputOfLoad[i] < 0 || outputs[targets.outputOfLoad[i]].needed();
            if (now != needed[i]) {
                needed[i] = now;
                ledger.touch();
            }
        }
    }

    /** Solves the bus at this instant, with all that follows from it and the loss of all loads where it comes to that. */
    private void balance() {
        reviveLoads();
        for (int round = 0; round < MOST_ROUNDS; round++) {
            solveOrLoseLoads();
            boolean changed = changeStage();
            changed |= circuit.settleParts(now, moved);
            tellMoved();
            if (!changed) {
                readSignals();
                return;
            }
            reviveLoads();
        }
        throw new IllegalStateException("chargers and devices do not settle at " + now + " s");
    }

    private void tellMoved() {
        for (int i = 0; i < moved.size(); i++) {
            PartEvent one = moved.get(i);
            if (one.has(Change.CHARGE_PATH_OPENED) || one.has(Change.DISCHARGE_PATH_OPENED)) {
                wear.countOpening();
            }
            report(one.kind(), one.subject(), one.facts());
        }
        moved.clear();
    }

    private void solveOrLoseLoads() {
        boolean solved = circuit.solve();
        boolean empty = solved && circuit.isEmpty();
        if (solved && (!empty || circuit.isDead())) {
            return;
        }
        if (!solved && circuit.isFloating() && circuit.isDead()) {
            return;
        }
        circuit.setDead(true);
        boolean floating = !solved && circuit.isFloating();
        deadUntil = floating ? now : now + LEAST_DEAD_SECONDS;
        report(
                solved || floating ? Event.Kind.EMPTY : Event.Kind.COLLAPSE,
                "",
                Fact.of(floating ? Change.BUS_LOST : solved ? Change.EMPTIED : Change.COLLAPSED));
        if (!circuit.solve() && !circuit.isFloating()) {
            throw new IllegalStateException("no balance even without loads at " + now + " s");
        }
    }

    private void reviveLoads() {
        if (circuit.isDead()
                && now >= deadUntil
                && circuit.batteries.canDischarge()
                && circuit.batteries.counted() >= recoveredCharge) {
            circuit.setDead(false);
            report(Event.Kind.RECOVERED, "", Fact.of(Change.CAN_GIVE_AGAIN));
        }
    }

    private boolean changeStage() {
        if (circuit.isFloating()) {
            return false;
        }
        double net = circuit.bus.batteryCurrent()[0];
        for (int i = 0; i < circuit.controllers.length; i++) {
            ControllerAtWork controller = circuit.controllers[i];
            double amperes = circuit.bus.current(controller.branch)[0];
            if (changeStage(
                    controller.regulator, controller.controller.id(), circuit.controllerVolts(i), amperes, net)) {
                return true;
            }
        }
        ChargeRegulator charger = circuit.acCharger;
        return charger != null
                && changeStage(
                        charger,
                        circuit.ac.side.inverter().id(),
                        circuit.chargerVolts(),
                        circuit.chargerAmperes(),
                        net);
    }

    private boolean changeStage(ChargeRegulator regulator, String id, double volts, double amperes, double net) {
        if (regulator.holdsStill(now, volts, amperes, net) || !regulator.settleStage(now, volts, amperes, net)) {
            return false;
        }
        report(Event.Kind.STAGE, id, regulator.takeNews());
        return true;
    }

    private void readSignals() {
        signals.read(now);
        double volts = signals.values[Signal.BATTERY_VOLTS];
        double charge = circuit.batteries.charge();
        if (charge < lowestCharge) {
            lowestCharge = charge;
            lowestChargeAt = now;
        }
        if (volts < lowestVolts) {
            lowestVolts = volts;
            lowestVoltsAt = now;
        }
        days.look(charge, volts);
    }

    private void report(Event.Kind kind, String subject, Fact fact) {
        report(kind, subject, List.of(fact));
    }

    private void report(Event.Kind kind, String subject, List<Fact> facts) {
        // Before the first instant there is nothing: it is told as it begins.
        double volts = now > 0 ? signals.values[Signal.BATTERY_VOLTS] : circuit.batteryVolts();
        log.add(now, kind, subject, facts, volts, circuit.batteries.charge());
    }

    private RunResult result(long steps) {
        List<OutputFigures> did =
                Arrays.stream(outputs).map(output -> output.figures(now)).toList();
        days.endRun(now);
        Optional<Double> reported =
                circuit.monitors.length == 0 ? Optional.empty() : Optional.of(circuit.monitors[0].counter.reported());
        List<GeneratorFigures> generators = circuit.ac == null ? List.of() : circuit.ac.sources.generatorFigures();
        List<FeederFigures> feeders = circuit.ac == null ? List.of() : circuit.ac.sources.feederFigures();
        return new RunResult(
                did.stream().anyMatch(OutputFigures::chattered)
                        ? RunResult.Status.CHATTERING
                        : RunResult.Status.FINISHED,
                log.events(),
                log.leftOut(),
                days.whole(),
                days.days(),
                did,
                Arrays.stream(circuit.loads).map(load -> load.figures(now)).toList(),
                wear.figures(reported),
                generators,
                feeders,
                new RunResult.Lowest(lowestCharge, lowestChargeAt),
                new RunResult.Lowest(lowestVolts, lowestVoltsAt),
                circuit.batteries.charge(),
                circuit.batteryVolts(),
                circuit.isFloating() ? 0 : circuit.bus.batteryCurrent()[0],
                circuit.ac == null ? new double[0] : circuit.ac.nights.used(),
                now,
                steps,
                trace.finish());
    }
}
