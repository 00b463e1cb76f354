package sparen.app.season;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertSame;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.testng.annotations.Test;
import sparen.document.Documents;
import sparen.program.Plan;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.simulation.Simulation.Recorded;
import sparen.sun.DayType;
import sparen.sun.WeatherGenerator;

/** Looking closer at a run makes no new one, as long as there is room for it. */
public class RunsTest {
    /** A day of the demo; counts how often it is asked for. */
    private static Supplier<Scenario> day(AtomicInteger made) throws Exception {
        Plan plan = Documents.read(Files.readString(Path.of("../demo/hallgrund.json")))
                .plan();
        Instant start = Instant.parse("2026-06-01T00:00:00Z");
        return () -> {
            made.incrementAndGet();
            return new Scenario(
                    plan,
                    start,
                    86_400,
                    WeatherGenerator.generate(plan.site().location(), start, 1440, DayType.CLEAR, 15, 1),
                    Map.of(),
                    1,
                    List.of());
        };
    }

    @Test
    public void aSecondLookMakesNoNewRun() throws Exception {
        AtomicInteger made = new AtomicInteger();
        Runs runs = new Runs(null, null, 64);
        Recorded first = runs.kept("one", day(made));
        assertSame(runs.kept("one", day(made)), first);
        assertEquals(made.get(), 1);
    }

    @Test
    public void whatThereIsNoRoomForIsRunAgain() throws Exception {
        AtomicInteger made = new AtomicInteger();
        Runs runs = new Runs(null, null, 0);
        runs.run("one", day(made).get(), Simulation.Watch.NONE);
        runs.kept("two", day(made));
        runs.kept("two", day(made));
        runs.kept("one", day(made));
        assertEquals(made.get(), 3);
    }
}
