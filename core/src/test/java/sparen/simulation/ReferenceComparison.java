package sparen.simulation;

import java.util.Locale;
import sparen.result.Window;
import sparen.site.Chemistry;

/** The same week on the engine and on the general-purpose integrator with event detection, both warm, in one process. */
public final class ReferenceComparison {
    private ReferenceComparison() {}

    /** Two lines: a lithium and a flooded site. */
    public static String report() {
        StringBuilder told = new StringBuilder("week against a general-purpose integrator at 1e-8:");
        for (Chemistry chemistry : new Chemistry[] {Chemistry.LITHIUM_IRON_PHOSPHATE, Chemistry.FLOODED}) {
            double[] times = times(chemistry, 300);
            told.append(String.format(
                    Locale.ROOT,
                    "%n  %-24s engine %.1f ms, integrator %.0f ms, ratio %.0f",
                    chemistry,
                    times[0],
                    times[1],
                    times[1] / times[0]));
        }
        return told.toString();
    }

    /** Least time of the engine and of the integrator (ms). */
    private static double[] times(Chemistry chemistry, int runs) {
        Scenario scenario = ReferenceWeekTest.site(chemistry, 100, 0.5, 900, 1).scenario(ReferenceWeekTest.WEEK);
        double engine = Double.POSITIVE_INFINITY;
        Simulation.Prepared prepared = Simulation.prepare(scenario);
        for (int i = 0; i < runs; i++) {
            long start = System.nanoTime();
            prepared.run(new Window(0, 1, 1), Simulation.Settings.DEFAULT, Simulation.Watch.NONE);
            engine = Math.min(engine, (System.nanoTime() - start) / 1e6);
        }
        double integrator = Double.POSITIVE_INFINITY;
        for (int i = 0; i < 3; i++) {
            ReferenceSite reference = new ReferenceSite(scenario);
            long start = System.nanoTime();
            reference.run(1e-8);
            integrator = Math.min(integrator, (System.nanoTime() - start) / 1e6);
        }
        return new double[] {engine, integrator};
    }
}
