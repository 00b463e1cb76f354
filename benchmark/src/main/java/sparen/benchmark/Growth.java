package sparen.benchmark;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.simulation.Simulation;
import sparen.site.ParallelBattery;

/**
 * What a year of Skarvholm costs with more outputs, with batteries that differ, and over more years: the least thread time, printed and
 * drawn in docs/figures/growth.svg.
 */
public final class Growth {
    private static final int[] OUTPUTS = {7, 20, 60};
    private static final int[] YEARS = {1, 2, 4};
    private static final int RUNS = 12;

    private Growth() {}

    /** Runs all of it. No arguments. */
    public static void main(String[] arguments) throws IOException {
        GrowthFigure figure = new GrowthFigure();
        Plan plan = Years.plan("skarvholm");
        for (int count : OUTPUTS) {
            figure.add("outputs", String.valueOf(count), print(count + " outputs", withOutputs(plan, count), 1));
        }
        figure.add("batteries", "3 alike", print("three boxes, alike", plan, 1));
        figure.add("batteries", "3 apart", print("three boxes, each its own", withBatteriesApart(plan), 1));
        for (int years : YEARS) {
            figure.add("years", String.valueOf(years), print(years == 1 ? "one year" : years + " years", plan, years));
        }
        figure.write(Path.of("docs", "figures", "growth.svg"));
    }

    private static double print(String what, Plan plan, int years) {
        Simulation.Prepared prepared = Simulation.prepare(Years.of(plan, years));
        Window none = new Window(0, 1, 1);
        double least = Double.POSITIVE_INFINITY;
        long steps = 0;
        var thread = ManagementFactory.getThreadMXBean();
        for (int i = 0; i < RUNS; i++) {
            long began = thread.getCurrentThreadCpuTime();
            RunResult result = prepared.run(none, Simulation.Settings.DEFAULT, Simulation.Watch.NONE);
            least = Math.min(least, (thread.getCurrentThreadCpuTime() - began) / 1e6);
            steps = result.steps();
        }
        System.out.printf(Locale.ROOT, "%-26s %7.0f ms %9d steps%n", what, least, steps);
        return least;
    }

    /** The same rules again under other names, each with a contact that nothing hangs on. */
    private static Plan withOutputs(Plan plan, int count) {
        List<Output> own = plan.program().outputs();
        List<Output> outputs = new ArrayList<>(own);
        for (int i = own.size(); i < count; i++) {
            Output one = own.get(i % own.size());
            outputs.add(one.withId(one.id() + "-" + i)
                    .withName(one.name() + " " + i)
                    .withLoads(List.of()));
        }
        return plan.withProgram(plan.program().withOutputs(outputs));
    }

    private static Plan withBatteriesApart(Plan plan) {
        var bank = plan.site().battery();
        List<ParallelBattery> apart = new ArrayList<>();
        for (int i = 0; i < bank.batteries().size(); i++) {
            apart.add(bank.batteries().get(i).withChargeOffset(0.01 * i));
        }
        return plan.withSite(plan.site().withBattery(bank.withBatteries(apart)));
    }
}
