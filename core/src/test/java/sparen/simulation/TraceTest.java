package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.format.Profile;
import sparen.program.rule.DuskToDawn;
import sparen.program.rule.VoltageDisconnect;
import sparen.quantity.InvalidQuantity;
import sparen.result.Event;
import sparen.result.OutputFigures;
import sparen.result.PartFigures;
import sparen.result.RunResult;
import sparen.result.Trace;
import sparen.result.Window;
import sparen.simulation.Simulation.Recorded;
import sparen.site.BatteryTable;
import sparen.site.Consumption;
import sparen.sun.SunPosition;

/** What is recorded of a run, and inputs that repeat. */
public class TraceTest {
    private static final double DAY = 86_400;
    private static final BatteryTable TABLE =
            Sites.Circuit.table(List.of(0.0, 1.0), List.of(12.0, 13.0), 0.02, 0.01, 20_000);

    private static Scenario with(Profile profile, double seconds) {
        var plan = new Sites.Circuit(TABLE, 500, 0.9)
                .load("pump", new Consumption.ImportedProfile("p"), new VoltageDisconnect("point", 5, 0, 6, 0))
                .plan();
        Scenario scenario = Sites.scenario(
                new Sites.Circuit(TABLE, 500, 0.9).load("x", 9, 5, 6, 0).plan(), seconds);
        return new Scenario(plan, scenario.start(), seconds, scenario.weather(), Map.of("p", profile));
    }

    /** A sag of two seconds in a day stays visible in a trace of fifty buckets. */
    @Test
    public void noSpikeIsLost() {
        Profile pulse = new Profile(Optional.empty(), new double[] {0, 40_000, 40_002}, new double[] {5, 400, 5}, DAY);
        Trace trace = Simulation.run(with(pulse, DAY), new Window(0, DAY, 50)).trace();
        double lowest = Arrays.stream(trace.lowBatteryVolts()).min().orElseThrow();
        double highest = Arrays.stream(trace.highBatteryVolts()).max().orElseThrow();
        assertTrue(highest - lowest > 0.5, "sag of " + (highest - lowest) + " V");
    }

    /** Mean powers over a window add up to the ledger's energy, however it is cut into buckets. */
    @Test
    public void bucketsAddUpToTheLedger() {
        double[] seconds = {0, 1000, 5000, 7777};
        Profile profile = new Profile(Optional.empty(), seconds, new double[] {10, 60, 0, 33}, 11_000);
        for (int buckets : new int[] {1, 7, 1000}) {
            RunResult result = Simulation.run(with(profile, DAY), new Window(0, DAY, buckets));
            double joules = Arrays.stream(result.trace().usedWatts()).sum() * DAY / buckets;
            assertEquals(joules, result.ledger().totalServedJoules(), joules * 1e-9, buckets + " buckets");
        }
    }

    /** A window shows the same run as the whole, only nearer. */
    @Test
    public void aWindowIsAPieceOfTheWhole() {
        Profile profile = new Profile(Optional.empty(), new double[] {0, 600}, new double[] {10, 200}, 1200);
        Trace whole =
                Simulation.run(with(profile, DAY), new Window(0, DAY, 1440)).trace();
        Trace piece = Simulation.run(with(profile, DAY), new Window(36_000, 36_600, 10))
                .trace();
        for (int i = 0; i < 10; i++) {
            assertEquals(piece.lowBatteryVolts()[i], whole.lowBatteryVolts()[600 + i], 1e-9);
            assertEquals(piece.usedWatts()[i], whole.usedWatts()[600 + i], 1e-6);
        }
    }

    /** A run that was kept whole shows in any window what a run of that window alone shows, to the millivolt; a spike is in all of them. */
    @Test
    public void aRunKeptWholeShowsEveryWindow() {
        Profile pulse = new Profile(Optional.empty(), new double[] {0, 40_000, 40_002}, new double[] {5, 400, 5}, DAY);
        Scenario scenario = with(pulse, DAY);
        Recording kept =
                Simulation.prepare(scenario).record(Simulation.Watch.NONE).recording();
        for (Window window : List.of(new Window(0, DAY, 50), new Window(39_990, 40_010, 200), new Window(0, 600, 7))) {
            Trace again = Simulation.run(scenario, window).trace();
            Trace shown = kept.trace(window);
            for (int i = 0; i < window.buckets(); i++) {
                assertEquals(shown.lowBatteryVolts()[i], again.lowBatteryVolts()[i], 1e-3, "low in " + i);
                assertEquals(shown.highBusVolts()[i], again.highBusVolts()[i], 1e-3, "high in " + i);
                assertEquals(shown.usedWatts()[i], again.usedWatts()[i], 1e-3, "used in " + i);
                assertEquals(shown.batteryCelsius()[i], again.batteryCelsius()[i], 1e-3, "celsius in " + i);
            }
        }
        Trace year = kept.trace(new Window(0, 365 * DAY, 365));
        assertTrue(year.highBatteryVolts()[0] - year.lowBatteryVolts()[0] > 0.5, "the sag is lost");
        assertTrue(Double.isNaN(year.lowBatteryVolts()[1]), "beyond the run");
    }

    /** A part of a run is told in the whole hours that hold it: three hours of a pump that takes 10 and 200 W by turns are 315 Wh. */
    @Test
    public void aPartIsToldInItsWholeHours() {
        Profile turns = new Profile(Optional.empty(), new double[] {0, 600}, new double[] {10, 200}, 1200);
        Recorded kept = Simulation.prepare(with(turns, DAY)).record(Simulation.Watch.NONE);
        PartFigures part = kept.part(5400, 11_000);
        assertEquals(part.fromSeconds(), 3600.0);
        assertEquals(part.toSeconds(), 14_400.0);
        assertEquals(part.ledger().totalServedJoules() / 3600, 315, 1e-6);
        Trace shown = kept.recording().trace(new Window(3600, 14_400, 300));
        assertEquals(
                part.lowestBatteryVolts().value(),
                Arrays.stream(shown.lowBatteryVolts()).min().orElseThrow(),
                1e-3);
        assertThrows(InvalidQuantity.class, () -> kept.part(0, DAY + 1));
    }

    /** The parts of a run are the run, whatever its outputs, loads and sources did; and to keep it changes nothing of it. */
    @Test
    public void partsAreTheWhole() {
        for (int seed = 0; seed < 12; seed++) {
            Simulation.Prepared prepared =
                    Simulation.prepare(RandomSitesTest.random(seed).scenario(2 * DAY));
            RunResult alone = prepared.run(new Window(0, 1, 1), Simulation.Settings.DEFAULT, Simulation.Watch.NONE);
            Recorded kept = prepared.record(Simulation.Watch.NONE);
            RunResult whole = kept.result();
            assertEquals(whole.ledger(), alone.ledger());
            double seconds = whole.seconds();
            double cut = seconds / 3;
            PartFigures first = kept.part(0, cut);
            PartFigures rest = kept.part(first.toSeconds(), seconds);
            assertEquals(
                    first.ledger().totalServedJoules() + rest.ledger().totalServedJoules(),
                    whole.ledger().totalServedJoules(),
                    1e-3);
            assertEquals(
                    Math.min(
                            first.lowestStateOfCharge().value(),
                            rest.lowestStateOfCharge().value()),
                    whole.lowestStateOfCharge().value(),
                    1e-4);
            for (int i = 0; i < whole.outputs().size(); i++) {
                OutputFigures did = whole.outputs().get(i);
                assertEquals(
                        first.outputs().get(i).switchings()
                                + rest.outputs().get(i).switchings(),
                        did.switchings());
                assertEquals(
                        first.outputs().get(i).openSeconds()
                                + rest.outputs().get(i).openSeconds(),
                        did.openSeconds(),
                        1e-3);
            }
            for (int i = 0; i < whole.generators().size(); i++) {
                assertEquals(
                        first.generators().get(i).litres()
                                + rest.generators().get(i).litres(),
                        whole.generators().get(i).litres(),
                        1e-9);
            }
        }
    }

    /** A profile with clock times is met at the same place of its span, whenever the run begins. */
    @Test
    public void aProfileWithClockTimesKeepsItsPlace() {
        Profile profile = new Profile(
                Optional.of(Sites.START.minusSeconds(7 * 86_400 + 300)),
                new double[] {0, 600},
                new double[] {10, 200},
                1200);
        Trace trace =
                Simulation.run(with(profile, 3600), new Window(0, 3600, 12)).trace();
        // 7 days are 504 spans of 1200 s; the run begins 300 s into one.
        double[] expected = {10, 200, 200, 10};
        for (int i = 0; i < expected.length; i++) {
            assertEquals(trace.usedWatts()[i], expected[i], 1e-9, "5 min no " + i);
        }
    }

    /** Dusk is found where the sun's computed height passes the level, to a second, and the delay is kept. */
    @Test
    public void duskIsWhereTheSunPassesItsLevel() {
        double delay = 120;
        var plan = new Sites.Circuit(TABLE, 500, 0.9)
                .load("light", new Consumption.Resistance(20), new DuskToDawn(-4, delay))
                .plan();
        RunResult result = Simulation.run(Sites.scenario(plan, DAY), new Window(0, DAY, 10));
        for (Event event : result.events().subList(1, result.events().size())) {
            var passed = Sites.START.plusMillis(Math.round((event.seconds() - delay) * 1000));
            assertEquals(SunPosition.at(passed, Sites.SUBARCTIC).altitudeDegrees(), -4, 0.004, event.toString());
        }
        assertTrue(result.events().size() >= 3, result.events().toString());
    }
}
