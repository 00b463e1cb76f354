package sparen.simulation;

import java.util.Arrays;
import java.util.Optional;
import sparen.logic.Switch;
import sparen.program.Output;
import sparen.program.Rule;
import sparen.program.TestForce;
import sparen.program.Wish;
import sparen.site.Site;

/** An output's switches, contact and counts in one run. */
final class OutputAtWork {
    /** So many switchings within {@link #CHATTER_SECONDS} are chatter. */
    static final int CHATTER_SWITCHINGS = 6;

    /** See {@link #CHATTER_SWITCHINGS}; also the least dwell of an output once it has chattered (s). */
    static final double CHATTER_SECONDS = 1;

    private final Output output;
    private final Site site;
    private final Optional<Switch> automatic;
    private final Optional<Switch> protection;
    private final double[] recent = new double[CHATTER_SWITCHINGS];
    private final GrowingTimes changes = new GrowingTimes(EventLog.MOST_EVENTS);
    private boolean closed;
    private boolean alive = true;
    private boolean startsClosed;
    private boolean chattered;
    private int switchings;
    private double heldUntilSeconds = Double.NEGATIVE_INFINITY;
    private double openSeconds;
    private double withheldSeconds;

    OutputAtWork(Output output, Site site) {
        this.output = output;
        this.site = site;
        automatic = output.automatic().map(rule -> new Switch(rule.compile(site)));
        protection = output.protection().map(rule -> new Switch(rule.compile(site)));
        closed = wanted();
        startsClosed = closed;
        Arrays.fill(recent, Double.NEGATIVE_INFINITY);
    }

    /** Takes whether the device that decides is fed; one that was dead begins anew. */
    void supply(boolean isFed) {
        if (isFed && !alive) {
            automatic.ifPresent(Switch::restart);
            protection.ifPresent(Switch::restart);
        }
        alive = isFed;
    }

    /** What its coil draws now (W). */
    double coilWatts() {
        return alive && output.coilIsActive(closed) ? output.coilWatts().orElse(0.0) : 0;
    }

    /** What wish, protection and test force make of the contact. */
    private boolean wanted() {
        if (!alive) {
            return output.dead().orElse(Output.Position.OPEN) == Output.Position.CLOSED;
        }
        if (output.testForce() != TestForce.NONE) {
            return output.testForce() == TestForce.CLOSED;
        }
        return wished() && protection.map(Switch::isOn).orElse(true);
    }

    /** Whether the wish, of a hand or by rule, is for a closed contact. */
    boolean wished() {
        return output.wish() == Wish.ON
                || output.wish() == Wish.AUTOMATIC && automatic.orElseThrow().isOn();
    }

    /**
     * Lets its switches look at the signals; moves the contact at most once.
     *
     * @return the reason when the contact moved, null when it did not
     */
    String settle(double seconds, double[] signals) {
        if (seconds < heldUntilSeconds) {
            return null;
        }
        String reason = alive ? "the device that decides is fed again" : "the device that decides is dead";
        if (alive && automatic.isPresent() && automatic.get().settle(seconds, signals)) {
            reason = reason(output.automatic(), automatic.get(), signals);
        }
        if (alive && protection.isPresent() && protection.get().settle(seconds, signals)) {
            reason = reason(output.protection(), protection.get(), signals);
        }
        if (wanted() == closed) {
            return null;
        }
        move(seconds);
        return reason;
    }

    private String reason(Optional<Rule> rule, Switch at, double[] signals) {
        return rule.orElseThrow().reason(site, at.isOn(), signals);
    }

    private void move(double seconds) {
        closed = !closed;
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
    boolean beginsToChatter(double seconds) {
        double oldest = recent[switchings % recent.length];
        if (chattered || seconds - oldest > CHATTER_SECONDS) {
            return false;
        }
        chattered = true;
        heldUntilSeconds = seconds + CHATTER_SECONDS;
        return true;
    }

    /** When one of its timers is due next (s). */
    double dueSeconds(double seconds) {
        if (seconds < heldUntilSeconds) {
            return heldUntilSeconds;
        }
        if (!alive) {
            return Double.POSITIVE_INFINITY;
        }
        double due = automatic.isPresent() ? automatic.get().dueSeconds() : Double.POSITIVE_INFINITY;
        return protection.isPresent() ? Math.min(due, protection.get().dueSeconds()) : due;
    }

    /** Narrows the signals' intervals to where it holds still. */
    void narrow(double seconds, double[] signals, double[] low, double[] high) {
        if (alive && seconds >= heldUntilSeconds) {
            automatic.ifPresent(at -> at.narrow(signals, low, high));
            protection.ifPresent(at -> at.narrow(signals, low, high));
        }
    }

    /** Counts a step (s) in its present state. */
    void count(double stepSeconds) {
        if (!closed) {
            openSeconds += stepSeconds;
            withheldSeconds += wished() ? stepSeconds : 0;
        }
    }

    /** Whether the device that decides was fed when it last looked. */
    boolean isFed() {
        return alive;
    }

    boolean isClosed() {
        return closed;
    }

    boolean hasChattered() {
        return chattered;
    }

    Output output() {
        return output;
    }

    OutputFigures figures() {
        return new OutputFigures(
                output.id(), startsClosed, switchings, openSeconds, withheldSeconds, chattered, changes.toArray());
    }
}
