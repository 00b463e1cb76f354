package sparen.benchmark;

import com.sun.management.ThreadMXBean;
import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import sparen.simulation.ReferenceComparison;
import sparen.simulation.RunResult;
import sparen.simulation.Simulation;
import sparen.simulation.Window;

/**
 * Prints for each demo site: milliseconds per site-year on one core (first, minimum, median), nanoseconds a step, bytes allocated a run,
 * scaling on two cores; and for a week the ratio to a general-purpose integrator.
 */
public final class WholeProcess {
    private static final int RUNS = 11;
    private static final Window NONE = new Window(0, 1, 1);

    private WholeProcess() {}

    /** Runs all of it. No arguments. */
    public static void main(String[] arguments) throws Exception {
        System.out.println("site        first ms  min ms  median ms    steps  ns/step  MB/run  two cores ×");
        for (String site : Years.SITES) {
            measure(site);
        }
        System.out.println(ReferenceComparison.report());
    }

    private static void measure(String site) throws Exception {
        long began = System.nanoTime();
        Simulation.Prepared prepared = Simulation.prepare(Years.of(site));
        double preparing = milliseconds(began);
        double[] times = new double[RUNS];
        long steps = 0;
        long bytes = 0;
        for (int i = 0; i < RUNS; i++) {
            long before = allocated();
            long start = System.nanoTime();
            RunResult result = prepared.run(NONE, Simulation.Settings.DEFAULT, Simulation.Watch.NONE);
            times[i] = milliseconds(start);
            bytes = allocated() - before;
            steps = result.steps();
        }
        double first = times[0];
        Arrays.sort(times);
        double both = onTwoCores(prepared);
        System.out.printf(
                Locale.ROOT,
                "%-11s %8.0f %7.0f %10.0f %8d %8.0f %7.1f %12.2f   (inputs prepared in %.0f ms)%n",
                site,
                first,
                times[0],
                times[RUNS / 2],
                steps,
                times[RUNS / 2] * 1e6 / steps,
                bytes / 1e6,
                2 * times[RUNS / 2] / both,
                preparing);
    }

    /** Time of two runs at once (ms), the median of five. */
    private static double onTwoCores(Simulation.Prepared prepared) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(2);
        double[] times = new double[5];
        try {
            for (int i = 0; i < times.length; i++) {
                long start = System.nanoTime();
                List<Future<RunResult>> both = new ArrayList<>();
                for (int k = 0; k < 2; k++) {
                    both.add(pool.submit(() -> prepared.run(NONE, Simulation.Settings.DEFAULT, Simulation.Watch.NONE)));
                }
                for (Future<RunResult> one : both) {
                    one.get();
                }
                times[i] = milliseconds(start);
            }
        } finally {
            pool.shutdown();
        }
        Arrays.sort(times);
        return times[2];
    }

    private static double milliseconds(long since) {
        return (System.nanoTime() - since) / 1e6;
    }

    private static long allocated() {
        ThreadMXBean threads = (ThreadMXBean) ManagementFactory.getThreadMXBean();
        return threads.getThreadAllocatedBytes(Thread.currentThread().getId());
    }
}
