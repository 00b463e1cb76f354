package sparen.benchmark;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.simulation.Simulation;

/** A year of a demo site, its inputs worked out beforehand. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 5)
@Measurement(iterations = 5, time = 5)
@Fork(1)
public class YearBenchmark {
    /** Which site. */
    @Param({"hallgrund", "kvarno", "skarvholm"})
    public String site;

    private Simulation.Prepared prepared;

    /** Works out weather and arrays. */
    @Setup
    public void prepare() {
        prepared = Simulation.prepare(Years.of(site));
    }

    /** One run. */
    @Benchmark
    public RunResult year() {
        return prepared.run(new Window(0, 1, 1), Simulation.Settings.DEFAULT, Simulation.Watch.NONE);
    }
}
