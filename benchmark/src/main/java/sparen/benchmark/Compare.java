package sparen.benchmark;

import java.lang.management.ManagementFactory;
import java.lang.reflect.Field;
import java.lang.reflect.Method;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Path;
import java.util.Locale;

/**
 * Two revisions of the engine in one process, each with classes of its own, turn and turn about: the least thread time of a
 * year of each demo site, and the ratio. Both run today's demo documents.
 */
public final class Compare {
    /** The compiler is done with the engine after some ten seconds of it; then the least of many is what no neighbour disturbed. */
    private static final int RUNS = 24;

    private Compare() {}

    /** Takes the jar of the revision to compare with, and that of this one. */
    public static void main(String[] arguments) throws Exception {
        Engine before = new Engine(Path.of(arguments[0]));
        Engine after = new Engine(Path.of(arguments[1]));
        System.out.println("site        before ms  after ms  ratio    steps before, after");
        for (String site : Years.SITES) {
            before.prepare(site);
            after.prepare(site);
            double least = Double.POSITIVE_INFINITY;
            double leastAfter = Double.POSITIVE_INFINITY;
            for (int i = 0; i < RUNS; i++) {
                least = Math.min(least, before.yearMilliseconds());
                leastAfter = Math.min(leastAfter, after.yearMilliseconds());
            }
            System.out.printf(
                    Locale.ROOT,
                    "%-11s %9.0f %9.0f %6.3f    %d, %d%n",
                    site,
                    least,
                    leastAfter,
                    leastAfter / least,
                    before.steps,
                    after.steps);
        }
    }

    /** One revision, by what both have: a year's scenario is prepared, and run. */
    private static final class Engine {
        private final ClassLoader classes;
        private final Object window;
        private final Object settings;
        private final Object watch;
        private Object prepared;
        private Method run;
        private long steps;

        Engine(Path jar) throws Exception {
            classes = new URLClassLoader(new URL[] {jar.toUri().toURL()}, ClassLoader.getPlatformClassLoader());
            window = type("sparen.result.Window")
                    .getConstructor(double.class, double.class, int.class)
                    .newInstance(0.0, 1.0, 1);
            settings = constant("sparen.simulation.Simulation$Settings", "DEFAULT");
            watch = constant("sparen.simulation.Simulation$Watch", "NONE");
        }

        private Class<?> type(String name) throws ClassNotFoundException {
            return Class.forName(name, true, classes);
        }

        private Object constant(String type, String name) throws Exception {
            Field field = type(type).getField(name);
            return field.get(null);
        }

        void prepare(String site) throws Exception {
            Method of = type("sparen.benchmark.Years").getDeclaredMethod("of", String.class);
            of.setAccessible(true);
            Class<?> scenario = type("sparen.simulation.Scenario");
            prepared = type("sparen.simulation.Simulation")
                    .getMethod("prepare", scenario)
                    .invoke(null, of.invoke(null, site));
            run = prepared.getClass()
                    .getMethod(
                            "run", window.getClass(), settings.getClass(), type("sparen.simulation.Simulation$Watch"));
        }

        double yearMilliseconds() throws Exception {
            var thread = ManagementFactory.getThreadMXBean();
            long began = thread.getCurrentThreadCpuTime();
            Object result = run.invoke(prepared, window, settings, watch);
            double milliseconds = (thread.getCurrentThreadCpuTime() - began) / 1e6;
            steps = (long) result.getClass().getMethod("steps").invoke(result);
            return milliseconds;
        }
    }
}
