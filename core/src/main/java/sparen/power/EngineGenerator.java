package sparen.power;

import java.util.Random;
import sparen.result.Change;
import sparen.result.GeneratorFigures;
import sparen.site.AcSource.Generator;

/** An engine generator at work in one run: from the call over starts that fail to running, and cooling down when no longer called. */
public final class EngineGenerator {
    /** Where it is. */
    public enum State {
        STOPPED(Change.STOPPED),
        /** Between the call and a steady voltage. */
        STARTING(Change.STARTING),
        /** A start failed; the next try is awaited. */
        WAITING(Change.START_FAILED),
        RUNNING(Change.RUNNING),
        /** Runs on unloaded. */
        COOLING(Change.COOLING),
        /** Gave up after its tries; someone must come. */
        FAILED(Change.GAVE_UP);

        private final Change change;

        State(Change change) {
            this.change = change;
        }

        /** What is told when it comes to this. */
        public Change change() {
            return change;
        }
    }

    private static final double JOULES_PER_KILOWATT_HOUR = 3.6e6;

    private final Generator generator;
    private final Random chance;
    private State state = State.STOPPED;
    private double due = Double.POSITIVE_INFINITY;
    private boolean called;
    private int tries;
    private boolean failsNow;
    private int starts;
    private int failedStarts;
    private double runSeconds;
    private double lowLoadSeconds;
    private double litres;

    /** @param seed of the starts that fail */
    public EngineGenerator(Generator generator, long seed) {
        this.generator = generator;
        chance = new Random(seed);
    }

    /** Calls it or lets it go, from an output. */
    public void call(boolean wanted) {
        called = wanted;
    }

    /**
     * Lets what is due at an instant (s) happen.
     *
     * @return whether its state changed
     */
    public boolean settle(double seconds) {
        State before = state;
        switch (state) {
            case STOPPED -> {
                if (called) {
                    tries = 0;
                    crank(seconds);
                }
            }
            case STARTING -> {
                if (!called) {
                    enter(State.STOPPED, Double.POSITIVE_INFINITY);
                } else if (seconds >= due) {
                    finishStart(seconds);
                }
            }
            case WAITING -> {
                if (!called) {
                    enter(State.STOPPED, Double.POSITIVE_INFINITY);
                } else if (seconds >= due) {
                    crank(seconds);
                }
            }
            case RUNNING -> {
                if (!called) {
                    enter(State.COOLING, seconds + generator.coolDownSeconds());
                }
            }
            case COOLING -> {
                if (called) {
                    enter(State.RUNNING, Double.POSITIVE_INFINITY);
                } else if (seconds >= due) {
                    enter(State.STOPPED, Double.POSITIVE_INFINITY);
                }
            }
            case FAILED -> {
                if (!called) {
                    enter(State.STOPPED, Double.POSITIVE_INFINITY);
                }
            }
        }
        return state != before;
    }

    private void crank(double seconds) {
        tries++;
        failsNow = chance.nextDouble() < generator.failureFraction();
        enter(State.STARTING, seconds + generator.startSeconds());
    }

    private void finishStart(double seconds) {
        if (!failsNow) {
            starts++;
            enter(State.RUNNING, Double.POSITIVE_INFINITY);
            return;
        }
        failedStarts++;
        if (tries >= generator.mostTries()) {
            enter(State.FAILED, Double.POSITIVE_INFINITY);
        } else {
            enter(State.WAITING, seconds + generator.retrySeconds());
        }
    }

    private void enter(State next, double dueSeconds) {
        state = next;
        due = dueSeconds;
    }

    /** Whether its voltage can be taken. */
    public boolean isPresent() {
        return state == State.RUNNING;
    }

    /**
     * Counts a step.
     *
     * @param seconds its length (s)
     * @param joules it gave during it (J)
     */
    public void count(double seconds, double joules) {
        if (state != State.RUNNING && state != State.COOLING) {
            return;
        }
        runSeconds += seconds;
        if (state == State.RUNNING && joules < generator.leastLoadFraction() * generator.ratedWatts() * seconds) {
            lowLoadSeconds += seconds;
        }
        litres += generator.idleLitresPerHour() * seconds / 3600
                + generator.litresPerKilowattHour() * joules / JOULES_PER_KILOWATT_HOUR;
    }

    /** When something is due (s). */
    public double dueSeconds() {
        return due;
    }

    /** Where it is. */
    public State state() {
        return state;
    }

    /** What stands there. */
    public Generator generator() {
        return generator;
    }

    /** What it did so far. */
    public GeneratorFigures figures() {
        return new GeneratorFigures(generator.id(), runSeconds, starts, failedStarts, lowLoadSeconds, litres);
    }
}
