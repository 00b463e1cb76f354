package sparen.benchmark;

import java.lang.management.ManagementFactory;
import java.util.Locale;
import sparen.program.Plan;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;

/** Where the thread time of a warm site-year goes: its weather, its inputs, making the circuit, and the run itself; the least of several. */
final class Phases {
    private static final int RUNS = 9;
    private static final Window NONE = new Window(0, 1, 1);

    private Phases() {}

    static void print(String site) {
        Plan plan = Years.plan(site);
        Scenario year = Years.of(plan, 1);
        Simulation.Prepared prepared = Simulation.prepare(year);
        // A second of it is nothing but what is made before the first step.
        Simulation.Prepared second = Simulation.prepare(year.withDurationSeconds(1));
        System.out.printf(
                Locale.ROOT,
                "%-15s %8.0f %7.0f %8.1f %8.0f%n",
                site,
                leastMilliseconds(() -> Years.of(plan, 1)),
                leastMilliseconds(() -> Simulation.prepare(year)),
                leastMilliseconds(() -> run(second)),
                leastMilliseconds(() -> run(prepared)));
    }

    private static void run(Simulation.Prepared prepared) {
        prepared.run(NONE, Simulation.Settings.DEFAULT, Simulation.Watch.NONE);
    }

    private static double leastMilliseconds(Runnable work) {
        var thread = ManagementFactory.getThreadMXBean();
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < RUNS; i++) {
            long began = thread.getCurrentThreadCpuTime();
            work.run();
            least = Math.min(least, (thread.getCurrentThreadCpuTime() - began) / 1e6);
        }
        return least;
    }
}
