package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.output.OutputAtWork;
import sparen.result.Event;
import sparen.result.RunResult;
import sparen.simulation.Sites.Circuit;
import sparen.site.BatteryTable;
import sparen.site.CurrentSource;
import sparen.site.SensePoint.Place;

/**
 * Battery and relay circuits against an independent solution.
 *
 * <p>Source of the reference instants: circuit laws (first-order Thevenin battery) solved by a general-purpose ODE integrator with
 * terminal events at a relative tolerance of 1e-11, and stretch by stretch by a general-purpose circuit simulator.
 */
public class CircuitTest {
    private static final BatteryTable CONSTANT =
            Circuit.table(List.of(0.0, 1.0), List.of(25.2, 25.2), 0.020, 0.015, 20_000);
    /** EMF = charge / 120,000 F: 80 Ah from 12.0 V to 14.4 V. */
    private static final BatteryTable LINEAR_12 =
            Circuit.table(List.of(0.0, 1.0), List.of(12.0, 14.4), 0.008, 0.006, 10_000);
    /** EMF = charge / 100,000 F: 100 Ah from 22.5 V to 26.1 V. */
    private static final BatteryTable LINEAR_24 =
            Circuit.table(List.of(0.0, 1.0), List.of(22.5, 26.1), 0.010, 0.015, 20_000);

    private static final BatteryTable CURVE = Circuit.table(
            List.of(0.0, 0.05, 0.1, 0.2, 0.4, 0.6, 0.8, 0.95, 1.0),
            List.of(10.6, 12.0, 12.6, 12.9, 13.1, 13.2, 13.3, 13.38, 13.6),
            0.010,
            0.008,
            9_000);

    private static Circuit constant() {
        return new Circuit(CONSTANT, 1000, 0.5);
    }

    @DataProvider
    public Object[][] circuits() {
        List<CurrentSource.Point> tenAmperes = List.of(new CurrentSource.Point(0, 10));
        List<CurrentSource.Point> eightAmperes = List.of(new CurrentSource.Point(0, 8));
        return new Object[][] {
            {"A1", constant().load("l1", 0.4, 23.5, 24.9, 0), 7200},
            {"A2", constant().load("l1", 0.4, 23.9, 25.15, 0), 7200},
            {"A0d", constant().load("l1", 0.4, 23.9, 24.9, 5), 600},
            {"B1", new Circuit(LINEAR_12, 80, 0.5).source(tenAmperes).load("l1", 0.3, 12.4, 13, 5), 7200},
            {"B2", new Circuit(CURVE, 100, 0.3).source(eightAmperes).load("l1", 0.35, 12, 12.8, 0), 14_400},
            {"B3", new Circuit(CURVE, 100, 0.3).source(eightAmperes).load("l1", 0.35, 12, 12.8, 5), 14_400},
            {"C_bat", constant().cable(0.004, Place.BATTERY_TERMINALS).load("l1", 0.4, 23.4, 24.9, 0), 7200},
            {"C_ctl", constant().cable(0.004, Place.BUS).load("l1", 0.4, 23.4, 24.9, 0), 7200},
            {
                "D1",
                new Circuit(LINEAR_24, 100, 0.75)
                        .source(halfSine())
                        .load("l1", 1.5, 24.2, 25.2, 0)
                        .load("l2", 1.2, 23.6, 24.8, 0),
                43_200
            },
        };
    }

    /** 45 A sin(π (t − 7200) / 28,800) by straight lines of 10 s, which leave out less than 7 µA. */
    private static List<CurrentSource.Point> halfSine() {
        List<CurrentSource.Point> points = new ArrayList<>();
        points.add(new CurrentSource.Point(0, 0));
        for (int t = 7200; t <= 36_000; t += 10) {
            points.add(new CurrentSource.Point(t, Math.max(0, 45 * Math.sin(Math.PI * (t - 7200) / 28_800))));
        }
        return points;
    }

    @Test(dataProvider = "circuits")
    public void switchesAtTheReferenceInstants(String name, Circuit circuit, double seconds) throws IOException {
        RunResult result = circuit.run(seconds);
        List<String[]> expected = reference(name);
        List<Event> switchings = result.events().stream()
                .filter(event -> event.kind() == Event.Kind.OPENED || event.kind() == Event.Kind.CLOSED)
                .toList();
        assertEquals(switchings.size(), expected.size(), "number of switchings");
        for (int i = 0; i < expected.size(); i++) {
            String[] row = expected.get(i);
            Event event = switchings.get(i);
            assertEquals(event.subject(), row[1], "load of switching " + i);
            assertEquals(event.kind() == Event.Kind.CLOSED, row[2].equals("1"), "direction of switching " + i);
            // The reference asks 0.1 s on the first six and 0.2 s on the last; this engine keeps 0.01 s on all.
            assertEquals(event.seconds(), Double.parseDouble(row[0]), 0.01, "instant of switching " + i);
        }
        assertEquals(result.ledger().closingError(), 0, 1e-8, "ledger");
        assertEquals(result.status(), RunResult.Status.FINISHED);
    }

    /** A3: the asymptote is above the threshold. 25.2 V × 0.4 / 0.435. */
    @Test
    public void staysClosedWhereTheSagEndsAboveTheThreshold() {
        RunResult result = constant().load("l1", 0.4, 23, 24.9, 0).run(7200);
        assertTrue(result.events().isEmpty());
        assertEquals(result.endBatteryVolts(), 23.172413793, 1e-6);
    }

    /** A0: the rebound at opening is wider than the hysteresis and there is no delay, so it would switch for ever. */
    @Test
    public void reportsChatterInsteadOfHanging() {
        RunResult result = constant().load("l1", 0.4, 23.9, 24.9, 0).run(7200);
        assertEquals(result.status(), RunResult.Status.CHATTERING);
        assertEquals(result.events().get(0).seconds(), 37.302, 0.001, "first opening, closed form");
        Event chatter = result.events().stream()
                .filter(event -> event.kind() == Event.Kind.CHATTER)
                .findFirst()
                .orElseThrow();
        assertEquals(chatter.seconds(), 37.302, 0.001);
        assertTrue(result.steps() < 100_000, result.steps() + " steps");
        int most = OutputAtWork.CHATTER_SWITCHINGS + 7200;
        assertTrue(result.outputs().get(0).switchings() <= most, "bounded to one a second");
        assertEquals(result.ledger().closingError(), 0, 1e-9);
    }

    /**
     * One millivolt on the threshold moves the instant by the closed-form amount: with a constant EMF the sag at the terminals is
     * exponential, t = τ′ ln(…); see the formula in the body (circuit laws).
     */
    @Test
    public void movesTheInstantByTheClosedFormAmount() {
        for (double lvd : new double[] {23.5, 23.501, 23.499}) {
            RunResult result = constant().load("l1", 0.4, lvd, 24.9, 0).run(1000);
            double total = 0.02 + 0.4;
            double tau = 300 / (1 + 0.015 / total);
            double settled = 25.2 * 0.015 / (total + 0.015);
            double needed = 25.2 - lvd * total / 0.4;
            double expected = -tau * Math.log(1 - needed / settled);
            assertEquals(result.events().get(0).seconds(), expected, 1e-4);
        }
    }

    private static List<String[]> reference(String name) throws IOException {
        try (BufferedReader reader = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(CircuitTest.class.getResourceAsStream("/circuits/" + name + ".csv")),
                StandardCharsets.UTF_8))) {
            return reader.lines().skip(1).map(line -> line.split(",", -1)).toList();
        }
    }
}
