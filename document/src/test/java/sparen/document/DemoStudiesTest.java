package sparen.document;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.bench.BenchScript;
import sparen.bench.BenchState;
import sparen.bench.LiveBench;
import sparen.check.Checks;
import sparen.check.Severity;
import sparen.program.NamedSignal;
import sparen.program.Plan;
import sparen.result.Event;
import sparen.result.Trace;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.study.Absence;
import sparen.study.Chain;
import sparen.study.Comparison;
import sparen.study.Progress;
import sparen.study.Years;
import sparen.sun.Climate;
import sparen.sun.WeatherGenerator;

/** Questions of several runs, and the bench with a battery, on the demo sites: everything a real site has at once. */
public class DemoStudiesTest {
    private static final double DAY = 86_400;

    @DataProvider
    public Object[][] sites() {
        return new Object[][] {{"hallgrund"}, {"kvarno"}, {"skarvholm"}};
    }

    private static Plan plan(String name) throws Exception {
        return Documents.read(Files.readString(Path.of("../demo/" + name + ".json")))
                .plan();
    }

    private static Scenario scenario(Plan plan, String day, int days, long seed) {
        var location = plan.site().location();
        Instant start = LocalDate.parse(day).atStartOfDay(location.zone()).toInstant();
        Climate climate = Climate.atLatitude(location.latitudeDegrees());
        return new Scenario(
                plan,
                start,
                days * DAY,
                WeatherGenerator.generate(location, start, days * 1440, climate, seed),
                Map.of(),
                seed,
                List.of());
    }

    /** A run that was kept whole shows in any window what that window alone shows: least and most of voltage to 2 mV, powers to 1 W. */
    @Test(dataProvider = "sites")
    public void aKeptRunShowsEveryWindow(String name) throws Exception {
        Scenario scenario = scenario(plan(name), "2026-11-01", 6, 1);
        Simulation.Recorded kept = Simulation.prepare(scenario).record(Simulation.Watch.NONE);
        for (double[] span : new double[][] {{0, 6 * DAY}, {2.4 * DAY, 2.6 * DAY}, {3.5 * DAY, 3.5 * DAY + 60}}) {
            Window window = new Window(span[0], span[1], 90);
            Trace again = Simulation.run(scenario, window).trace();
            Trace shown = kept.recording().trace(window);
            for (int i = 0; i < 90; i++) {
                String at = name + ", bucket " + i + " of " + span[0];
                assertEquals(shown.lowBatteryVolts()[i], again.lowBatteryVolts()[i], 2e-3, at);
                assertEquals(shown.highBatteryVolts()[i], again.highBatteryVolts()[i], 2e-3, at);
                assertEquals(shown.lowStateOfCharge()[i], again.lowStateOfCharge()[i], 3e-4, at);
                assertEquals(shown.usedWatts()[i], again.usedWatts()[i], 1, at);
                assertEquals(shown.thrownAwayWatts()[i], again.thrownAwayWatts()[i], 1, at);
                assertEquals(shown.generatorWatts()[i], again.generatorWatts()[i], 1, at);
                assertTrue(shown.generatorWatts()[i] <= shown.acSourceWatts()[i] + 1e-6, at);
            }
        }
    }

    /** What is offered as a help is a plan that can be saved, brings no new danger, and leaves critical loads better off. */
    @Test(dataProvider = "sites")
    public void whatHelpsIsBetterAndNoDanger(String name) throws Exception {
        Plan plan = plan(name);
        Absence.Answer answer = Absence.of(
                new Absence.Question(4, 1, 0.2), seed -> scenario(plan, "2026-12-01", 9, seed), Progress.NONE);
        assertEquals(answer.lowestCharges().length, 4);
        for (int i = 0; i < 4; i++) {
            Absence.Course course = answer.courses().get(i);
            assertEquals(course.lowestByDay().length, 9);
            assertTrue(course.cutOnDay().filter(day -> day < 0 || day > 8).isEmpty());
        }
        assertEquals(
                answer.courses().stream()
                        .mapToDouble(
                                one -> Arrays.stream(one.lowestByDay()).min().orElseThrow())
                        .min()
                        .orElseThrow(),
                answer.lowestCharges()[0],
                0.001);
        assertEquals(
                answer.courses().stream()
                        .filter(one -> one.cutOnDay().isPresent())
                        .count(),
                answer.cuts());
        answer.chances().forEach(chance -> {
            assertTrue(chance.low() <= chance.cuts() / 4.0 && chance.cuts() / 4.0 <= chance.high(), chance.toString());
            assertTrue(chance.cuts() > 0 == chance.meanUnservedJoules() > 0, chance.toString());
        });
        answer.help().ifPresent(help -> {
            assertTrue(help.cuts() < answer.cuts(), help.says());
            assertTrue(
                    help.says().matches("(?!Lamps|Marker light).*"),
                    "a light that comes on in the dark stays: " + help.says());
            assertTrue(dangers(help.plan()) <= dangers(plan), help.says());
            assertEquals(help.plan().site(), plan.site());
        });
    }

    private static long dangers(Plan plan) {
        return Checks.of(plan, Map.of()).stream()
                .filter(finding -> finding.severity() == Severity.DANGER)
                .count();
    }

    /** As found against as programmed: what differs is told by names, and every figure is of both runs. */
    @Test(dataProvider = "sites")
    public void asFoundIsComparedWithAsProgrammed(String name) throws Exception {
        Plan found = plan(name + "-as-found");
        Plan now = plan(name);
        Comparison told = Comparison.of(
                found,
                Comparison.Side.of(Simulation.run(scenario(found, "2026-10-05", 10, 1), new Window(0, 1, 1))),
                now,
                Comparison.Side.of(Simulation.run(scenario(now, "2026-10-05", 10, 1), new Window(0, 1, 1))));
        assertTrue(!told.changed().isEmpty());
        told.figures().forEach(figure -> {
            assertTrue(Double.isFinite(figure.before()) && Double.isFinite(figure.after()), figure.toString());
            assertTrue(!figure.what().contains("null"), figure.what());
        });
        assertTrue(told.did().size() <= told.figures().size());
    }

    /** Every event of a month has a chain that ends with it, is in order, and stays readable. */
    @Test(dataProvider = "sites")
    public void everyEventHasAChain(String name) throws Exception {
        var run = Simulation.run(scenario(plan(name), "2026-11-01", 20, 2), new Window(0, 1, 1));
        for (int i = 0; i < run.events().size(); i++) {
            List<Chain.Link> chain = Chain.of(run, i);
            assertEquals(chain.get(chain.size() - 1).event(), i);
            assertTrue(chain.size() <= 10, chain.size() + " links");
            List<Double> times =
                    new ArrayList<>(chain.stream().map(Chain.Link::seconds).toList());
            List<Double> sorted = times.stream().sorted().toList();
            assertEquals(times, sorted);
        }
    }

    /** At rest, with nothing turned, a live bench of every demo site stands as its site would at noon, and stays so. */
    @Test(dataProvider = "sites")
    public void aLiveBenchRests(String name) throws Exception {
        Plan plan = plan(name);
        BenchScript nothing = new BenchScript(List.of());
        BenchState soon = LiveBench.play(plan, nothing, 5, 10);
        BenchState later = LiveBench.play(plan, nothing, 300, 60);
        assertEquals(soon.outputs().size(), plan.program().outputs().size());
        assertEquals(later.knobs(), soon.knobs());
        double volts = soon.live().orElseThrow().batteryVolts();
        assertEquals(later.live().orElseThrow().batteryVolts(), volts, 0.02 * volts);
        assertTrue(
                later.events().stream()
                        .noneMatch(event -> event.kind() == Event.Kind.CHATTER || event.kind() == Event.Kind.COLLAPSE),
                later.events().toString());
        assertEquals(
                LiveBench.knobs(plan).stream().map(NamedSignal::id).toList(),
                List.copyOf(soon.knobs().keySet()));
    }

    /** Two years differ by their seeds; their worst fortnight lies in the dark half of the year. */
    @Test
    public void theWorstFortnightIsInTheDark() throws Exception {
        Plan plan = plan("hallgrund");
        List<Years.Year> years = LongStream.of(1, 2)
                .mapToObj(seed -> Years.one(seed, scenario(plan, "2026-01-01", 365, seed), Progress.NONE))
                .toList();
        assertTrue(years.get(0).thrownAwayJoules() != years.get(1).thrownAwayJoules());
        for (Years.Year year : years) {
            int month = year.worst().orElseThrow().from().getMonthValue();
            assertTrue(month >= 11 || month <= 2, "month " + month);
        }
    }
}
