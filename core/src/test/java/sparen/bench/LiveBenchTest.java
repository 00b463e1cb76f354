package sparen.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.bench.BenchScript.Turn;
import sparen.measure.Machine;
import sparen.program.Lockout;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.TestForce;
import sparen.program.rule.VoltageDisconnect;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.Trace;
import sparen.result.Window;
import sparen.revision.StartingPoint;
import sparen.simulation.Simulation;
import sparen.simulation.Sites;
import sparen.site.BatteryTable;
import sparen.site.Chemistry;
import sparen.site.Consumption;
import sparen.site.Location;

/** The bench with a battery behind it: what is said of sag and rebound is Ohm's law and one exponential. */
public class LiveBenchTest {
    private static final double OHMS = 0.05;
    private static final BatteryTable TABLE =
            Sites.Circuit.table(List.of(0.0, 1.0), List.of(24.0, 26.0), OHMS, 0.03, 2000);

    private static Plan plan(double lvd, double lvr, double delay) {
        return new Sites.Circuit(TABLE, 200, 0.5)
                .load(
                        "pump",
                        new Consumption.ImportedProfile("none"),
                        new VoltageDisconnect("point", lvd, delay, lvr, delay))
                .plan();
    }

    private static BenchState play(Plan plan, double until, Turn... turns) {
        return LiveBench.play(plan, new BenchScript(List.of(turns)), until, 600);
    }

    /** At 25 V, R0 = 50 mΩ: a load of P sags to V with V² − 25 V + R P = 0 in the first instant, and rebounds when it is taken off. */
    @Test
    public void aLoadSagsTheBatteryAndOffItRebounds() {
        Plan plan = plan(10, 11, 5);
        BenchState rest = play(plan, 60);
        assertEquals(rest.live().orElseThrow().batteryVolts(), 25, 1e-3);
        BenchState loaded = play(plan, 60.01, new Turn(60, "load_watts_pump", 500, 0));
        double sagged = (25 + Math.sqrt(25 * 25 - 4 * OHMS * 500)) / 2;
        assertEquals(loaded.live().orElseThrow().batteryVolts(), sagged, 2e-3);
        assertEquals(loaded.live().orElseThrow().batteryAmperes(), -500 / sagged, 0.02);
        BenchState off =
                play(plan, 600, new Turn(60, "load_watts_pump", 500, 0), new Turn(300, "load_watts_pump", 0, 0));
        double[] low = off.live().orElseThrow().trace().lowBatteryVolts();
        assertTrue(Arrays.stream(low).min().orElseThrow() < sagged, "it sags on with its time constant");
        assertTrue(off.live().orElseThrow().batteryVolts() > 24.9, "and comes back");
    }

    /** With the reconnect inside the sag it chatters; a lockout ends that; a hysteresis wider than the sag never lets it begin. */
    @Test
    public void chatterIsSeenAndALockoutEndsIt() {
        Turn on = new Turn(10, "load_watts_pump", 500, 0);
        BenchState chatters = play(plan(24.5, 24.8, 2), 120, on);
        assertTrue(chatters.events().size() > 10, "only " + chatters.events().size());
        Plan locked = plan(24.5, 24.8, 2);
        Output output = locked.program().outputs().get(0);
        Lockout lockout = new Lockout(3, 900, 1, 0, Lockout.Release.TIME, 3600);
        locked = Fields.withAt(locked, "program/outputs/pump", output.withLockout(Optional.of(lockout)));
        BenchState held = play(locked, 120, on);
        assertEquals(
                held.events().stream()
                        .filter(event -> event.kind() == Event.Kind.OPENED)
                        .count(),
                3);
        assertTrue(!held.outputs().get(0).closed());
        assertTrue(!held.outputs().get(0).countdowns().isEmpty(), "its lockout counts down");
        BenchState wide = play(plan(24.5, 25.6, 2), 120, on);
        assertEquals(wide.events().size(), 1, wide.events().toString());
        assertTrue(
                wide.outputs().get(0).whyNot().contains("waits for LVR 25.6 V"),
                wide.outputs().toString());
    }

    /** What it says comes next is what happens when one waits for it. */
    @Test
    public void whatComesNextHappensThen() {
        Turn on = new Turn(10, "load_watts_pump", 500, 0);
        double next = play(plan(24.0, 25.6, 2), 11, on).nextSeconds().orElseThrow();
        assertTrue(play(plan(24.0, 25.6, 2), next - 0.01, on).events().isEmpty());
        assertEquals(play(plan(24.0, 25.6, 2), next + 0.01, on).events().size(), 1);
    }

    @Test
    public void refusesKnobsThatAreNotThereAndAClockSetLater() {
        Plan plan = plan(10, 11, 5);
        expectThrows(InvalidQuantity.class, () -> play(plan, 60, new Turn(0, "battery_volts", 25, 0)));
        expectThrows(InvalidQuantity.class, () -> play(plan, 60, new Turn(5, "local_hour", 6, 0)));
        expectThrows(InvalidQuantity.class, () -> play(plan, 60, new Turn(5, "load_watts_pump", -1, 0)));
        assertEquals(
                play(plan, 60, new Turn(0, "state_of_charge", 0.25, 0))
                        .live()
                        .orElseThrow()
                        .batteryVolts(),
                24.5,
                1e-3);
    }

    /** Turned slowly a load goes up in even stairs: half way it draws half, and what came before does not change when it is turned again. */
    @Test
    public void aSlowTurnIsEvenAndTheScriptOnlyGrows() {
        Plan plan = plan(10, 11, 5);
        Turn slow = new Turn(10, "load_watts_pump", 400, 100);
        double half = play(plan, 60, slow).knobs().get("load_watts_pump");
        assertEquals(half, 200, 400.0 / 20);
        BenchState again = play(plan, 80, slow, new Turn(70, "load_watts_pump", 0, 0));
        assertEquals(again.knobs().get("load_watts_pump"), 0.0);
        assertEquals(
                play(plan, 65, slow, new Turn(70, "load_watts_pump", 0, 0))
                        .live()
                        .orElseThrow()
                        .batteryVolts(),
                play(plan, 65, slow).live().orElseThrow().batteryVolts(),
                1e-12);
    }

    /**
     * A charger that stops below 3 °C stops within the minute in which the air's knob is turned to −5 °C, and not before: what is turned later
     * does not reach back to the start either.
     */
    @Test
    public void coldIsFeltAtOnceAndNotBefore() {
        Plan plan = new StartingPoint(
                        "hut",
                        new Location(63, 19, 5, "Europe/Stockholm"),
                        12,
                        Chemistry.LITHIUM_IRON_PHOSPHATE,
                        200,
                        400,
                        false,
                        false,
                        false,
                        false,
                        Optional.empty(),
                        Optional.empty())
                .plan();
        Turn cold = new Turn(700, "air_celsius", -5, 0);
        assertTrue(stops(plan, 690, cold).isEmpty(), "not before");
        List<Double> felt = stops(plan, 800, cold);
        assertEquals(felt.size(), 1);
        assertEquals(felt.get(0), 730, 30);
    }

    private static List<Double> stops(Plan plan, double until, Turn... turns) {
        return play(plan, until, turns).events().stream()
                .filter(event -> event.has(Change.COLD_STOPS))
                .map(Event::seconds)
                .toList();
    }

    /** The same script gives the same, to the last digit, and the trace shows the span asked for and nothing beyond. */
    @Test
    public void theSameScriptGivesTheSame() {
        Plan plan = plan(24.5, 24.8, 2);
        Turn on = new Turn(10, "load_watts_pump", 500, 0);
        assertEquals(play(plan, 100, on).events(), play(plan, 100, on).events());
        Trace trace = LiveBench.play(plan, new BenchScript(List.of(on)), 100, 40)
                .live()
                .orElseThrow()
                .trace();
        assertEquals(trace.fromSeconds(), 60.0);
        assertEquals(trace.fromSeconds() + trace.bucketSeconds() * trace.usedWatts().length, 100, 1e-9);
    }

    /** A contact that is open though needed waits for its protection; closed it waits for what would open it; forced it waits for nobody. */
    @Test
    public void saysWhatHoldsAnOutput() {
        Plan plan = plan(24.0, 25.6, 2);
        assertTrue(whyNot(play(plan, 30)).contains("waits for LVD 24 V; reads 25 V, 1 V away"), whyNot(play(plan, 30)));
        Turn on = new Turn(10, "load_watts_pump", 500, 0);
        assertTrue(
                whyNot(play(plan, 11, on)).contains("passed, but not yet for its delay"), whyNot(play(plan, 11, on)));
        Plan forced = Fields.withAt(plan, "program/outputs/pump/testForce", TestForce.OPEN);
        BenchState state = play(forced, 30);
        assertEquals(whyNot(state), "a test force holds it");
        assertTrue(!state.outputs().get(0).closed());
        Plan off = Fields.withAt(plan, "program/outputs/pump/mode", Mode.OFF);
        assertEquals(whyNot(play(off, 30)), "its mode is off");
    }

    private static String whyNot(BenchState state) {
        return state.outputs().get(0).whyNot();
    }

    /** A knob turned again in the middle of a slow turn goes on from where it is; what was to come of the first turn does not come. */
    @Test
    public void aKnobTurnedAgainForgetsWhatWasToCome() {
        Plan plan = plan(10, 11, 5);
        Turn up = new Turn(10, "load_watts_pump", 400, 100);
        Turn back = new Turn(60, "load_watts_pump", 100, 20);
        assertEquals(play(plan, 59, up, back).knobs().get("load_watts_pump"), 400 * 0.5, 20.0);
        double between = play(plan, 70, up, back).knobs().get("load_watts_pump");
        assertTrue(between > 100 && between < 200, "at " + between);
        assertEquals(play(plan, 81, up, back).knobs().get("load_watts_pump"), 100.0);
        assertEquals(play(plan, 500, up, back).knobs().get("load_watts_pump"), 100.0);
    }

    /** The longest script there may be takes no more for each of its turns than one of a quarter of its length. */
    @Test
    public void aLongScriptTakesNoMoreForEachTurn() {
        Plan plan = plan(10, 11, 5);
        long quarter = Machine.allocatedBytes(() -> turnTheAir(plan, 500));
        long whole = Machine.allocatedBytes(() -> turnTheAir(plan, 2000));
        assertTrue(whole < 6 * quarter, quarter + " bytes for a quarter, " + whole + " for all");
    }

    private static void turnTheAir(Plan plan, int turns) {
        List<Turn> script = new ArrayList<>();
        for (int i = 0; i < turns; i++) {
            script.add(new Turn(i * 300, "air_celsius", i % 30, i % 2 == 0 ? 0 : 200));
        }
        BenchState state = LiveBench.play(plan, new BenchScript(script), (turns - 4) * 300.0 + 200, 600);
        assertEquals(state.knobs().get("air_celsius"), (turns - 4) % 30, 3.0);
    }

    /** What a device rounds is what stands on the live bench too: it takes the plan as its devices hold it, as a run does. */
    @Test
    public void itIsTheSameEngineAsARun() {
        Plan plan = plan(24.5, 24.8, 2);
        Turn on = new Turn(0, "load_watts_pump", 500, 0);
        Plan constant = Fields.withAt(plan, "site/loads/pump/consumption", new Consumption.ConstantPower(500));
        List<Double> bench =
                play(plan, 300, on).events().stream().map(Event::seconds).toList();
        List<Double> run = Simulation.run(Sites.scenario(constant, 300), new Window(0, 300, 1)).events().stream()
                .map(Event::seconds)
                .toList();
        assertEquals(bench.size(), run.size());
        for (int i = 0; i < 4; i++) {
            assertEquals(bench.get(i), run.get(i), 0.05, "event " + i);
        }
    }
}
