package sparen.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.bench.BenchScript.Turn;
import sparen.logic.Signal;
import sparen.output.EventLog;
import sparen.output.OutputAtWork;
import sparen.program.NamedSignal;
import sparen.program.NamedSignal.Kind;
import sparen.program.Plan;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.PartEvent;
import sparen.series.Stay;
import sparen.setting.DeviceSettings;

/**
 * A program on the bench with every voltage and report imposed: no battery answers. Knobs move at even rates, so each crossing is
 * solved exactly; thresholds, delays, holds, lockouts, stages of chargers and levels of the inverter act as in a run.
 */
public final class SupplyBench {
    /** So often outputs may set each other off at one instant. */
    private static final int MOST_ROUNDS = 100;

    /** Time goes on by so much at least (s), so that nothing that is due and does not move can hold it up. */
    private static final double LEAST_STEP = 1e-9;

    private final List<OutputAtWork> outputs = new ArrayList<>();
    private final DevicesAtBench devices;
    private final Stay stay = new Stay();
    private final Surroundings around;
    private final List<NamedSignal> signals;
    private final TurnedSignals turned;
    private final double[] values;
    private final EventLog log = new EventLog();
    private double now;

    SupplyBench(Plan plan) {
        around = Surroundings.of(plan);
        signals = around.signals().all();
        turned = new TurnedSignals(signals);
        values = turned.values;
        plan.program().outputs().forEach(output -> outputs.add(new OutputAtWork(output, around)));
        devices = new DevicesAtBench(plan, around);
        devices.write(values);
    }

    /** The signals that can be imposed at a plan's bench, by id: all but the contacts, which are the outputs' own. */
    public static List<String> knobs(Plan plan) {
        return Surroundings.of(plan).signals().all().stream()
                .filter(signal -> signal.kind() != Kind.CONTACT)
                .map(NamedSignal::id)
                .toList();
    }

    /** What a charger regulates to is its own: a script may turn it, and it goes back at once. */
    private static boolean isKnob(NamedSignal signal) {
        return !List.of(Kind.CONTACT, Kind.REGULATION).contains(signal.kind());
    }

    /**
     * Plays a script on a plan, as its devices hold it.
     *
     * @param untilSeconds how long (s), 0 to a week
     * @throws InvalidQuantity when a turn names no knob of the plan
     */
    public static BenchState play(Plan plan, BenchScript script, double untilSeconds) {
        Bounds.within("untilSeconds", untilSeconds, 0, BenchScript.MOST_SECONDS);
        SupplyBench bench = new SupplyBench(DeviceSettings.asSet(plan));
        List<String> knobs = knobs(plan);
        for (Turn turn : script.turns()) {
            if (!knobs.contains(turn.knob())) {
                throw new InvalidQuantity("turns.knob", "\"" + turn.knob() + "\" is not one of " + knobs);
            }
        }
        bench.play(script.turns(), untilSeconds);
        return bench.state();
    }

    /** What is due at an instant happens before a hand turns knobs at it: so a script grows without changing what was. */
    private void play(List<Turn> turns, double until) {
        settle();
        for (Turn turn : turns) {
            if (turn.seconds() > until) {
                break;
            }
            if (turn.seconds() > now) {
                goOn(turn.seconds());
            }
            begin(turn);
        }
        goOn(until);
    }

    /** Lets time go on to an instant (s), which may be now. */
    void goOn(double until) {
        settle();
        while (now < until) {
            double to = Math.min(until, Math.max(nextHappening(), now + LEAST_STEP));
            turned.move(now, to, this::narrow);
            now = to;
            settle();
        }
    }

    /** Since the start (s). */
    double now() {
        return now;
    }

    /** What a signal stands at, in its own unit. */
    double value(int signal) {
        return values[signal];
    }

    /** All that has happened. */
    List<Event> events() {
        return log.events();
    }

    /** When a delay, hold or stage of an output or device ends (s), infinite where none runs. */
    double dueOf(String subject) {
        double due = devices.dueOf(subject);
        for (OutputAtWork one : outputs) {
            if (one.output().id().equals(subject)) {
                due = Math.min(due, one.dueSeconds(now));
            }
        }
        return after(due);
    }

    private double after(double due) {
        return due > now ? due : Double.POSITIVE_INFINITY;
    }

    /** A hand begins to turn a knob now. */
    void begin(Turn turn) {
        turn(turned.number(turn.knob()), turn.value(), turn.endSeconds());
    }

    /** A hand begins now to turn a signal's knob to a value, at once or until an instant (s). */
    void turn(int signal, double value, double end) {
        turned.begin(signal, value, now, end);
        devices.turned(signal, value, now);
    }

    /** The outputs, in the program's order. */
    List<OutputAtWork> outputs() {
        return outputs;
    }

    /** Lets all outputs look until none moves any more; those that set each other off without end are chattering and bounded. */
    private void settle() {
        for (int round = 0; round < MOST_ROUNDS; round++) {
            boolean moved = false;
            for (OutputAtWork one : outputs) {
                List<Fact> reason = one.settle(now, values);
                if (reason != null) {
                    moved = true;
                    tell(
                            one.isClosed() ? Event.Kind.CLOSED : Event.Kind.OPENED,
                            one.output().id(),
                            reason);
                    if (one.beginsToChatter(now)) {
                        tell(
                                Event.Kind.CHATTER,
                                one.output().id(),
                                List.of(Fact.of(Change.CHATTERS, OutputAtWork.CHATTER_SWITCHINGS)));
                    }
                }
                one.takeLockoutNews(now)
                        .ifPresent(news -> tell(Event.Kind.LOCKOUT, one.output().id(), List.of(news)));
                values[around.contact(one.output().id())] = one.isClosed() ? 1 : 0;
            }
            devices.connect(outputs);
            for (PartEvent event : devices.settle(now, values)) {
                moved = true;
                tell(event.kind(), event.subject(), event.facts());
            }
            if (!moved) {
                return;
            }
        }
    }

    private void tell(Event.Kind kind, String subject, List<Fact> facts) {
        log.add(now, kind, subject, facts, values[Signal.BATTERY_VOLTS], values[Signal.STATE_OF_CHARGE]);
    }

    /** When a timer is due, a knob is at its end, a signal crosses a level, or a day begins (s). */
    private double nextHappening() {
        double next = after(devices.dueSeconds());
        for (OutputAtWork one : outputs) {
            next = Math.min(next, after(one.dueSeconds(now)));
        }
        stay.begin(1, BenchScript.MOST_SECONDS);
        devices.watch(stay, values, turned.slopes);
        next = Math.min(next, now + stay.exitSeconds());
        return Math.min(next, turned.nextHappening(now, this::narrow));
    }

    private void narrow(double[] low, double[] high) {
        for (OutputAtWork one : outputs) {
            one.narrow(now, values, low, high);
        }
    }

    private BenchState state() {
        Map<String, Double> knobs = new LinkedHashMap<>();
        for (int i = 0; i < values.length; i++) {
            if (isKnob(signals.get(i))) {
                knobs.put(signals.get(i).id(), values[i]);
            }
        }
        return new BenchState(
                now,
                outputs.stream().map(this::atBench).toList(),
                devices.chargers(now),
                devices.inverter(),
                devices.batteries(),
                devices.sources(values),
                log.events(),
                signals.stream().filter(SupplyBench::isKnob).toList(),
                knobs,
                Optional.of(nextHappening()).filter(next -> next != Double.POSITIVE_INFINITY),
                Optional.empty());
    }

    private BenchState.AtBench atBench(OutputAtWork one) {
        BenchReason.Standing stands = new BenchReason.Standing(
                one.isClosed(), one.hasChattered(), one.countdowns(now), one.needed(), one.lockedOut(now));
        return BenchReason.of(one.output(), stands, (rule, level) -> {
            int signal = around.at(one.output()).signal(rule, level);
            NamedSignal named = signals.get(signal);
            return new BenchReason.Read(values[signal], isKnob(named) ? Optional.of(named.id()) : Optional.empty());
        });
    }
}
