package sparen.simulation;

import java.util.function.BooleanSupplier;

/** Runs scenarios. Runs share nothing, so any number may go on at once. */
public final class Simulation {
    private Simulation() {}

    /**
     * Runs a scenario to its end and records one window of it.
     *
     * @param scenario what to run
     * @param window what to record as a trace
     */
    public static RunResult run(Scenario scenario, Window window) {
        return run(scenario, window, Settings.DEFAULT, () -> false);
    }

    /**
     * Runs a scenario with its own tolerances, stopping early when told.
     *
     * @param cancelled asked every few thousand steps
     * @throws RunCancelled when it says so
     */
    public static RunResult run(Scenario scenario, Window window, Settings settings, BooleanSupplier cancelled) {
        return new Run(scenario, window, settings).toEnd(cancelled);
    }

    /**
     * The engine's numeric tuning, shared by every part.
     *
     * @param longestStepSeconds no step is longer (s)
     * @param voltsTolerance what a step may leave out of a voltage (V)
     */
    public record Settings(double longestStepSeconds, double voltsTolerance) {
        /** An hour at most, and far below what any device resolves. */
        public static final Settings DEFAULT = new Settings(3600, 1e-8);

        /** The same with another longest step (s). */
        public Settings withLongestStep(double seconds) {
            return new Settings(seconds, voltsTolerance);
        }
    }

    /** Thrown out of a run that was told to stop. */
    public static final class RunCancelled extends RuntimeException {
        private static final long serialVersionUID = 1L;

        RunCancelled() {
            super("the run was cancelled");
        }
    }
}
