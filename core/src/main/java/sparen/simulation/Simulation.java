package sparen.simulation;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.result.DayFigures;
import sparen.result.PartFigures;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.setting.DeviceSettings;
import sparen.site.Site;

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
        return run(scenario, window, Settings.DEFAULT, Watch.NONE);
    }

    /**
     * Runs a scenario with its own tolerances, stopping early when told.
     *
     * @param watch asked every few thousand steps
     * @throws RunCancelled when it says so
     */
    public static RunResult run(Scenario scenario, Window window, Settings settings, Watch watch) {
        return prepare(scenario).run(window, settings, watch);
    }

    /** Works out what weather and seeds bring, once for any number of runs of the same scenario. The plan is taken as devices hold it. */
    public static Prepared prepare(Scenario scenario) {
        Plan set = DeviceSettings.asSet(scenario.plan());
        Scenario held = set == scenario.plan() ? scenario : scenario.withPlan(set);
        return new Prepared(held, new SiteInputs(held));
    }

    /** A scenario with its inputs worked out. Any number of threads may run it. */
    public static final class Prepared {
        private final Scenario scenario;
        private final SiteInputs inputs;

        private Prepared(Scenario scenario, SiteInputs inputs) {
            this.scenario = scenario;
            this.inputs = inputs;
        }

        /**
         * Runs it.
         *
         * @param watch asked every few thousand steps
         * @throws RunCancelled when it says so
         */
        public RunResult run(Window window, Settings settings, Watch watch) {
            return new Run(scenario, inputs, window, Optional.empty(), settings).toEnd(watch);
        }

        /**
         * Runs it and keeps all of it, so that any window can be shown later.
         *
         * @param watch asked every few thousand steps
         * @throws RunCancelled when it says so
         */
        public Recorded record(Watch watch) {
            Site site = scenario.plan().site();
            Recording recording = new Recording(
                    inputs.controllers,
                    new LedgerSums(site.loads()),
                    site.inverter().isPresent(),
                    scenario.durationSeconds());
            Window whole = new Window(0, scenario.durationSeconds(), 1);
            RunResult result = new Run(scenario, inputs, whole, Optional.of(recording), Settings.DEFAULT).toEnd(watch);
            return new Recorded(result, recording);
        }

        /** The same site and weather with another program: only what is programmed may differ. */
        public Prepared with(Plan plan) {
            if (!plan.site().equals(scenario.plan().site())) {
                throw new IllegalArgumentException("plan: its site is another one; prepare it anew");
            }
            return new Prepared(
                    new Scenario(
                            plan,
                            scenario.start(),
                            scenario.durationSeconds(),
                            scenario.weather(),
                            scenario.profiles(),
                            scenario.weatherNumber(),
                            scenario.talkLosses(),
                            scenario.requests()),
                    inputs);
        }
    }

    /** What came of a run, and all of it for any picture. */
    public record Recorded(RunResult result, Recording recording) {
        /**
         * What a part of it holds, in the whole hours it was counted up by that hold the part.
         *
         * @param fromSeconds within the run (s)
         * @param toSeconds later, within the run (s)
         */
        public PartFigures part(double fromSeconds, double toSeconds) {
            Bounds.within("from", fromSeconds, "s", 0, result.seconds());
            Bounds.within("to", toSeconds, "s", fromSeconds, result.seconds());
            return recording.part(fromSeconds, toSeconds);
        }
    }

    /** Looks on while a run goes. */
    @FunctionalInterface
    public interface Watch {
        /** Lets it go to its end. */
        Watch NONE = (seconds, days) -> false;

        /**
         * Asked every few thousand steps.
         *
         * @param seconds how far it is (s)
         * @param days the days that are over
         * @return whether the run is to stop
         */
        boolean stops(double seconds, Supplier<List<DayFigures>> days);
    }

    /**
     * The engine's numeric tuning, shared by every part.
     *
     * @param longestStepSeconds no step is longer (s)
     * @param voltsTolerance what a step may leave out of a voltage (V)
     */
    public record Settings(double longestStepSeconds, double voltsTolerance) {
        /** An hour at most, and far below what any device resolves: the slowest drift moves an instant by less than a tenth of a second. */
        public static final Settings DEFAULT = new Settings(3600, 3e-8);

        /** The same with another longest step (s). */
        public Settings withLongestStep(double seconds) {
            return new Settings(seconds, voltsTolerance);
        }
    }

    /** Thrown out of a run that was told to stop. */
    public static final class RunCancelled extends RuntimeException {
        private static final long serialVersionUID = 1L;

        /** Ends a run, or a study of several. */
        public RunCancelled() {
            super("the run was cancelled");
        }
    }
}
