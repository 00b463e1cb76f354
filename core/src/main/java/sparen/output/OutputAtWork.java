package sparen.output;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import sparen.logic.Countdown;
import sparen.logic.Signal;
import sparen.logic.Switch;
import sparen.logic.Way;
import sparen.program.Contact;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Surroundings;
import sparen.program.TestForce;
import sparen.result.Change;
import sparen.result.Fact;
import sparen.result.OutputFigures;
import sparen.result.PartFigures.OutputPart;

/** An output's switches, lockout, contact and counts in one run. */
public final class OutputAtWork {
    /** So many switchings within {@link #CHATTER_SECONDS} are chatter. */
    public static final int CHATTER_SWITCHINGS = 6;

    /** See {@link #CHATTER_SWITCHINGS}; also the least dwell of an output once it has chattered (s). */
    static final double CHATTER_SECONDS = 1;

    private final Output output;
    private final Optional<Switch> automatic;
    private final Optional<Switch> protection;
    private final Optional<LockoutAtWork> lockout;
    private final double operateSeconds;
    private final boolean latches;
    private final CoilAtWork coil;
    private final double[] recent = new double[CHATTER_SWITCHINGS];
    private final GrowingTimes changes = new GrowingTimes(EventLog.MOST_EVENTS);
    private boolean closed;
    private boolean alive = true;
    private boolean startsClosed;
    private boolean chattered;
    private int switchings;
    private double heldUntilSeconds = Double.NEGATIVE_INFINITY;
    private double movesAt = Double.POSITIVE_INFINITY;
    private List<Fact> reason = List.of();
    private final OpenTime open = new OpenTime();

    /** An output in the state its program gives it before the first reading. */
    public OutputAtWork(Output output, Surroundings around) {
        this.output = output;
        automatic = output.automatic().map(rule -> new Switch(rule.compile(around.at(output))));
        protection = output.protection().map(rule -> new Switch(rule.compile(around.at(output))));
        lockout = output.lockout().map(one -> new LockoutAtWork(one, output.id(), around));
        Optional<Contact> contact = output.contact();
        operateSeconds = contact.flatMap(Contact::operateSeconds).orElse(0.0);
        latches = contact.map(one -> one.kind() == Contact.Kind.LATCHING).orElse(false);
        coil = new CoilAtWork(contact);
        closed = wanted(0);
        startsClosed = closed;
        Arrays.fill(recent, Double.NEGATIVE_INFINITY);
    }

    /**
     * Takes whether the device that decides is fed; one that was dead begins anew.
     *
     * @return whether it has come back
     */
    public boolean supply(boolean isFed) {
        boolean revived = isFed && !alive;
        if (revived) {
            automatic.ifPresent(Switch::restart);
            protection.ifPresent(Switch::restart);
        }
        alive = isFed;
        return revived;
    }

    /** What its coil draws now (W). */
    public double coilWatts() {
        if (!alive || !output.coilIsActive(closed)) {
            return movesAt != Double.POSITIVE_INFINITY ? pullInWatts() : 0;
        }
        return output.coilWatts().orElse(0.0);
    }

    private double pullInWatts() {
        return output.contact().flatMap(Contact::pullInWatts).orElse(0.0);
    }

    /** What mode, protection, lockout, test force and coil make of the contact. */
    private boolean wanted(double seconds) {
        if (!alive) {
            return latches ? closed : output.withoutPower().orElse(Output.Position.OPEN) == Output.Position.CLOSED;
        }
        boolean closes = output.testForce() == TestForce.NONE
                ? needed()
                        && (protection.isEmpty() || protection.get().isOn())
                        && (lockout.isEmpty() || lockout.get().lets(seconds))
                : output.testForce() == TestForce.CLOSED;
        return coil.isPulledIn() || !output.coilIsActive(closes)
                ? closes
                : output.rest().orElse(Output.Position.OPEN) == Output.Position.CLOSED;
    }

    /** Whether its mode, or the rule it goes by, is for a closed contact. */
    public boolean needed() {
        return output.mode() == Mode.ON
                || output.mode() == Mode.BY_RULE && automatic.orElseThrow().isOn();
    }

    /**
     * Lets its switches look at the signals; moves the contact at most once.
     *
     * @return why, when the contact moved; null when it did not
     */
    public List<Fact> settle(double seconds, double[] signals) {
        if (seconds < heldUntilSeconds) {
            return null;
        }
        List<Fact> why = alive ? List.of() : List.of(Fact.of(Change.DEVICE_DEAD));
        if (alive && automatic.isPresent() && automatic.get().settle(seconds, signals)) {
            why = because(automatic.get(), signals);
        }
        if (alive && protection.isPresent() && protection.get().settle(seconds, signals)) {
            why = because(protection.get(), signals);
            if (lockout.isPresent() && !protection.get().isOn()) {
                lockout.get().trip(seconds).ifPresent(why::add);
            }
        }
        if (lockout.isPresent() && lockout.get().settle(seconds, signals)) {
            why = why.isEmpty() ? List.of(lockout.get().over()) : why;
        }
        why = coil.settle(signals[Signal.BUS_VOLTS]).map(List::of).orElse(why);
        if (wanted(seconds) == closed) {
            movesAt = Double.POSITIVE_INFINITY;
            return null;
        }
        if (movesAt == Double.POSITIVE_INFINITY) {
            movesAt = seconds + operateSeconds;
            reason = why.isEmpty() ? List.of(Fact.of(Change.DEVICE_FED)) : why;
        }
        if (seconds < movesAt) {
            return null;
        }
        move(seconds);
        return reason;
    }

    /** Whether it has been locked out, or let go, since this was last asked (s). */
    public Optional<Fact> takeLockoutNews(double seconds) {
        return lockout.flatMap(LockoutAtWork::takeNews)
                .map(news -> Fact.of(news, news == Change.LOCKED_OUT ? lockedOut(seconds) : ""));
    }

    /** How its lockout keeps it open at an instant (s), in words; empty where it does not. */
    public String lockedOut(double seconds) {
        return lockout.map(one -> one.holds(seconds)).orElse("");
    }

    private static List<Fact> because(Switch at, double[] signals) {
        Way way = at.lastWay();
        return new ArrayList<>(List.of(Fact.byRule(way.because(), way.reading(), signals)));
    }

    private void move(double seconds) {
        closed = !closed;
        movesAt = Double.POSITIVE_INFINITY;
        if (seconds == 0) {
            startsClosed = closed;
        }
        changes.add(seconds);
        recent[switchings % recent.length] = seconds;
        switchings++;
        if (chattered) {
            heldUntilSeconds = seconds + CHATTER_SECONDS;
        }
    }

    /** Whether it has just now begun to chatter; from then on it is bounded. */
    public boolean beginsToChatter(double seconds) {
        double oldest = recent[switchings % recent.length];
        if (chattered || seconds - oldest > CHATTER_SECONDS) {
            return false;
        }
        chattered = true;
        heldUntilSeconds = seconds + CHATTER_SECONDS;
        return true;
    }

    /** When one of its timers is due next (s). */
    public double dueSeconds(double seconds) {
        if (seconds < heldUntilSeconds) {
            return heldUntilSeconds;
        }
        double due = movesAt;
        if (!alive) {
            return due;
        }
        if (automatic.isPresent()) {
            due = Math.min(due, automatic.get().dueSeconds());
        }
        if (protection.isPresent()) {
            due = Math.min(due, protection.get().dueSeconds());
        }
        return lockout.isPresent() ? Math.min(due, lockout.get().dueSeconds(seconds)) : due;
    }

    /** What it is counting down at an instant (s): delays, minimum times, lockout, its contact on the way. */
    public List<Countdown> countdowns(double seconds) {
        List<Countdown> running = new ArrayList<>();
        automatic.ifPresent(at -> running.addAll(at.countdowns(seconds)));
        protection.ifPresent(at -> running.addAll(at.countdowns(seconds)));
        lockout.ifPresent(at -> {
            double due = at.dueSeconds(seconds);
            if (due != Double.POSITIVE_INFINITY) {
                running.add(new Countdown("lockout", due - seconds));
            }
        });
        if (movesAt != Double.POSITIVE_INFINITY && movesAt > seconds) {
            running.add(new Countdown("contact moves", movesAt - seconds));
        }
        return running;
    }

    /** Narrows the signals' intervals to where it holds still. */
    public void narrow(double seconds, double[] signals, double[] low, double[] high) {
        if (!alive || seconds < heldUntilSeconds) {
            return;
        }
        if (automatic.isPresent()) {
            automatic.get().narrow(signals, low, high);
        }
        if (protection.isPresent()) {
            protection.get().narrow(signals, low, high);
        }
        if (lockout.isPresent()) {
            lockout.get().narrow(signals, low, high);
        }
        coil.narrow(low, high);
    }

    /** Adds the signals it looks at besides its rules. */
    public void addSignals(BitSet into) {
        lockout.ifPresent(one -> one.addSignals(into));
        automatic.ifPresent(one -> one.signals(into));
        protection.ifPresent(one -> one.signals(into));
        if (coil.watchesBus()) {
            into.set(Signal.BUS_VOLTS);
        }
    }

    /** Counts a step from an instant on, and so long (s), in its present state. */
    public void count(double seconds, double stepSeconds) {
        open.count(seconds, stepSeconds, !closed, !closed && needed());
    }

    /** Whether the device that decides was fed when it last looked. */
    public boolean isFed() {
        return alive;
    }

    /** Whether its contact is closed. */
    public boolean isClosed() {
        return closed;
    }

    /** Whether it was ever reported for chatter. */
    public boolean hasChattered() {
        return chattered;
    }

    /** What it was made of. */
    public Output output() {
        return output;
    }

    /** What it has counted so far. */
    public OutputPart counted() {
        return new OutputPart(output.id(), switchings, open.openSeconds(), open.cutSeconds());
    }

    /** What it did until now (s). */
    public OutputFigures figures(double seconds) {
        return new OutputFigures(
                output.id(),
                startsClosed,
                switchings,
                open.openSeconds(),
                open.cutSeconds(),
                open.cuts(),
                open.firstCutSeconds(),
                chattered,
                changes.toArray(),
                countdowns(seconds),
                needed(),
                lockedOut(seconds));
    }
}
