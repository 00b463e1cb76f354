package sparen.logic;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/** A {@link SwitchLogic} at work in one run. */
public final class Switch {
    private static final Way LONGEST_RUN = Way.when(new Condition.AllOf(List.of()), 0, "its longest run is over");

    /** So near to a whole multiple of its interval (s) a look takes place. */
    private static final double SLACK = 1e-7;

    private final SwitchLogic logic;
    private final Awaited[] turningOn;
    private final Awaited[] turningOff;
    private boolean on;
    private boolean mustRearm;
    private double heldUntil = Double.NEGATIVE_INFINITY;
    private double onUntil = Double.POSITIVE_INFINITY;
    private Way last = LONGEST_RUN;

    public Switch(SwitchLogic logic) {
        this.logic = logic;
        turningOn = awaited(logic.turnsOn());
        turningOff = awaited(logic.turnsOff());
        on = logic.startsOn();
    }

    /** Sets the signals that its logic looks at. */
    public void signals(BitSet into) {
        logic.signals(into);
    }

    private static Awaited[] awaited(List<Way> ways) {
        return ways.stream().map(Awaited::new).toArray(Awaited[]::new);
    }

    /** A way with its timer. */
    private static final class Awaited {
        private final Way way;
        private final Timer timer;
        /** What holds now has not been seen yet: the next look will. */
        private boolean unseen;

        private double nextLook;

        Awaited(Way way) {
            this.way = way;
            timer = new Timer(way.delaySeconds());
        }

        void look(double seconds, double[] signals) {
            boolean holds = way.when().holds(signals);
            nextLook = nextLook(seconds);
            if (nextLook - seconds < SLACK) {
                timer.observe(seconds, holds);
                unseen = false;
            } else {
                unseen = holds == (timer.dueSeconds() == Double.POSITIVE_INFINITY);
            }
        }

        boolean isDue(double seconds) {
            return seconds >= nextLook(timer.dueSeconds());
        }

        /** The first look at or after an instant (s). */
        private double nextLook(double seconds) {
            double every = way.lookSeconds();
            return every == 0 || seconds == Double.POSITIVE_INFINITY
                    ? seconds
                    : Math.ceil((seconds - SLACK) / every) * every;
        }

        double dueSeconds() {
            double due = nextLook(timer.dueSeconds());
            return unseen ? Math.min(due, nextLook) : due;
        }

        void reset() {
            timer.reset();
            unseen = false;
        }
    }

    /** Whether it is on. */
    public boolean isOn() {
        return on;
    }

    /** The way by which it last changed. */
    public Way lastWay() {
        return last;
    }

    /**
     * Looks at the signals at an instant (s) and changes state at most once.
     *
     * @return whether it changed
     */
    public boolean settle(double seconds, double[] signals) {
        Way found = null;
        boolean armed = true;
        for (Awaited one : waiting()) {
            one.look(seconds, signals);
            armed &= !one.way.when().holds(signals);
            if (found == null && one.isDue(seconds)) {
                found = one.way;
            }
        }
        if (mustRearm) {
            mustRearm = !armed;
            resetWaiting();
            return false;
        }
        boolean tooLong = on && seconds >= onUntil;
        if (!tooLong && (found == null || seconds < heldUntil)) {
            return false;
        }
        resetWaiting();
        last = tooLong ? LONGEST_RUN : found;
        on = !on;
        mustRearm = tooLong;
        heldUntil = seconds + (on ? logic.minimumOnSeconds() : logic.minimumOffSeconds());
        onUntil = on ? seconds + logic.longestOnSeconds() : Double.POSITIVE_INFINITY;
        if (mustRearm) {
            return true;
        }
        for (Awaited one : waiting()) {
            one.look(seconds, signals);
        }
        return true;
    }

    private void resetWaiting() {
        for (Awaited one : waiting()) {
            one.reset();
        }
    }

    /** The instant (s) of its next change if all conditions stay as they are; infinite when none is coming. */
    public double dueSeconds() {
        double due = Double.POSITIVE_INFINITY;
        for (Awaited one : waiting()) {
            due = Math.min(due, one.dueSeconds());
        }
        return Math.min(Math.max(due, heldUntil), onUntil);
    }

    /** What it is counting down: each running delay, a minimum that holds it, the end of its longest run. */
    public List<Countdown> countdowns(double seconds) {
        List<Countdown> running = new ArrayList<>();
        for (Awaited one : waiting()) {
            double due = one.timer.dueSeconds();
            if (due != Double.POSITIVE_INFINITY && due > seconds) {
                running.add(new Countdown(one.way.because(), due - seconds));
            }
        }
        if (heldUntil > seconds) {
            running.add(new Countdown(on ? "minimum run" : "minimum rest", heldUntil - seconds));
        }
        if (onUntil != Double.POSITIVE_INFINITY && onUntil > seconds) {
            running.add(new Countdown("longest run", onUntil - seconds));
        }
        return running;
    }

    /** Forgets all it has waited for and goes back to its state at the start, as a device does that has lost its supply. */
    public void restart() {
        for (Awaited one : turningOn) {
            one.reset();
        }
        for (Awaited one : turningOff) {
            one.reset();
        }
        on = logic.startsOn();
        mustRearm = false;
        heldUntil = Double.NEGATIVE_INFINITY;
        onUntil = Double.POSITIVE_INFINITY;
    }

    /** Narrows the signals' intervals to where its awaited conditions keep their answers. */
    public void narrow(double[] signals, double[] low, double[] high) {
        for (Awaited one : waiting()) {
            one.way.when().narrow(signals, low, high);
        }
    }

    private Awaited[] waiting() {
        return on ? turningOff : turningOn;
    }
}
