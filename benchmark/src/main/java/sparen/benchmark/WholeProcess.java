package sparen.benchmark;

import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import sparen.bench.BenchScript;
import sparen.bench.LiveBench;
import sparen.check.Checks;
import sparen.format.LoggerReader;
import sparen.format.ProfileReader;
import sparen.measure.Machine;
import sparen.program.Plan;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.simulation.ReferenceComparison;
import sparen.simulation.Simulation;
import sparen.table.Detection;
import sparen.table.FileKind;

/**
 * Prints for each demo site: milliseconds per site-year on one core (first, minimum, median), nanoseconds a step, bytes allocated a run,
 * scaling on two cores; and for a week the ratio to a general-purpose integrator.
 */
public final class WholeProcess {
    private static final int RUNS = 11;
    private static final int YEAR_OF_MINUTES = 525_600;
    private static final int MILLION = 1_000_000;
    private static final DateTimeFormatter LOGGED =
            DateTimeFormatter.ofPattern("dd.MM.yyyy HH:mm").withZone(ZoneOffset.UTC);
    private static final int LONGEST_SCRIPT = 2000;
    private static final Window NONE = new Window(0, 1, 1);

    private WholeProcess() {}

    /** Runs all of it. No arguments. */
    public static void main(String[] arguments) throws Exception {
        System.out.println(Machine.calibration());
        System.out.println("site        first ms  min ms  median ms    steps  ns/step  MB/run  two cores ×");
        for (String site : Years.SITES) {
            measure(site);
        }
        System.out.println("thread time, ms  weather  inputs  compile      run");
        for (String site : Years.SITES) {
            Phases.print(site);
        }
        System.out.println(ReferenceComparison.report());
        Plan plan = Years.plan("skarvholm");
        least("findings of Skarvholm", 300, () -> Checks.of(plan, Map.of()));
        String minutes = IntStream.range(0, YEAR_OF_MINUTES)
                .mapToObj(i -> i * 60 + ";" + i % 97)
                .collect(Collectors.joining("\n", "seconds;power\n", "\n"));
        least("a profile of a year of minutes", 5, () -> ProfileReader.read(minutes, ZoneId.of("Europe/Oslo")));
        String log = IntStream.range(0, MILLION)
                .mapToObj(i -> LOGGED.format(Instant.EPOCH.plusSeconds(60L * i)) + ";24," + i % 100 + ";-3," + i % 10)
                .collect(Collectors.joining("\n", "Datum;Spannung V;Strom A\n", "\n"));
        least(
                "a logger's file of a million lines",
                5,
                () -> LoggerReader.read(log, Detection.of(log, FileKind.LOGGER).layout(), ZoneId.of("Europe/Oslo")));
        BenchScript script = new BenchScript(IntStream.range(0, LONGEST_SCRIPT)
                .mapToObj(i -> new BenchScript.Turn(i * 300, "air_celsius", i % 30, i % 2 == 0 ? 0 : 200))
                .toList());
        least("the longest script at the live bench", 3, () -> LiveBench.play(plan, script, 599_000, 600));
    }

    private static void measure(String site) throws Exception {
        long began = System.nanoTime();
        Simulation.Prepared prepared = Simulation.prepare(Years.of(site));
        double preparing = milliseconds(began);
        double[] times = new double[RUNS];
        long steps = 0;
        long bytes = 0;
        for (int i = 0; i < RUNS; i++) {
            int run = i;
            RunResult[] result = new RunResult[1];
            bytes = Machine.allocatedBytes(() -> {
                long start = System.nanoTime();
                result[0] = prepared.run(NONE, Simulation.Settings.DEFAULT, Simulation.Watch.NONE);
                times[run] = milliseconds(start);
            });
            steps = result[0].steps();
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

    private static void least(String what, int times, Runnable work) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < times; i++) {
            long began = System.nanoTime();
            work.run();
            least = Math.min(least, milliseconds(began));
        }
        System.out.printf(Locale.ROOT, "%-38s %8.2f ms at the least of %d%n", what, least, times);
    }

    private static double milliseconds(long since) {
        return (System.nanoTime() - since) / 1e6;
    }
}
