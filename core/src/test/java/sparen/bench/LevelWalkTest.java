package sparen.bench;

import static org.testng.Assert.assertEquals;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.bench.BenchScript.Turn;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.ChargeDetails;
import sparen.program.ChargeDetails.AbsorptionEnd;
import sparen.program.ChargeDetails.Equalization;
import sparen.program.ChargeDetails.OverVoltage;
import sparen.program.ChargeStage;
import sparen.program.FullSite;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.result.Change;
import sparen.result.Event;
import sparen.site.DailySpan;
import sparen.site.DcSource;

/** Chargers and inverter at the bench supply, and all levels walked as one story; instants and order by hand. */
public class LevelWalkTest {
    /** Absorption 28.8 V for 2 h, float 27.2 V, recharge 25 V for 10 min; equalization of an hour at 29.8 V, due. */
    private static final ChargeDetails EVERY_LEVEL = ChargeDetails.NONE
            .withEqualization(Optional.of(new Equalization(29.8, 3600, 30, 10_800, Optional.of(40.0))))
            .withOverVoltage(Optional.of(new OverVoltage(30.4, 29.4)));

    private static Plan with(ChargeDetails details) {
        return FullSite.PLAN.withProgram(FullSite.PLAN
                .program()
                .withCharging(FullSite.PLAN.program().charging().stream()
                        .map(one -> one.controller().equals("mppt") ? one.withDetails(Optional.of(details)) : one)
                        .toList()));
    }

    private static BenchState play(Plan plan, double until, Turn... turns) {
        return SupplyBench.play(plan, new BenchScript(List.of(turns)), until);
    }

    private static BenchState.ChargerAtBench charger(BenchState state) {
        return state.chargers().get(0);
    }

    private static double when(List<Event> events, String subject, Change change) {
        return events.stream()
                .filter(event -> event.subject().equals(subject) && event.has(change))
                .findFirst()
                .orElseThrow(() -> new AssertionError(change + " in " + events))
                .seconds();
    }

    /**
     * The cycle of three stages as common practice has it, no source: below recharge for its delay bulk begins; absorption while its
     * voltage stands there, for its time; then float. A voltage that falls for 100 s pauses the time.
     */
    @Test
    public void aCycleGoesByVoltageAndTime() {
        Turn[] turns = {
            new Turn(0, "bus_volts", 24.9, 0),
            new Turn(1000, "bus_volts", 28.8, 0),
            new Turn(2000, "bus_volts", 28.7, 0),
            new Turn(2100, "bus_volts", 28.8, 0)
        };
        Plan plan = with(ChargeDetails.NONE);
        assertEquals(charger(play(plan, 599, turns)).stage(), ChargeStage.FLOAT, "at rest the battery is full");
        assertEquals(charger(play(plan, 601, turns)).stage(), ChargeStage.BULK);
        BenchState held = play(plan, 1900, turns);
        assertEquals(charger(held).stage(), ChargeStage.ABSORPTION);
        assertEquals(charger(held).leftSeconds().orElseThrow(), 7200 - 900, 1e-6);
        BenchState later = play(plan, 20_000, turns);
        assertEquals(when(later.events(), "mppt", Change.ABSORPTION_TIME_UP), 1000 + 7200 + 100, 1e-6);
        assertEquals(charger(later).regulationVolts(), 27.2, 1e-9);
    }

    /** At or below 8 A for 20 min the tail ends absorption; turned evenly from 20 A to 0 A in 2000 s, 8 A are reached after 1200 s. */
    @Test
    public void aTailCurrentEndsAbsorption() {
        ChargeDetails tail = ChargeDetails.NONE.withAbsorptionEnd(Optional.of(new AbsorptionEnd(
                Optional.of(8.0),
                AbsorptionEnd.Whose.NET_AT_SHUNT,
                1200,
                AbsorptionEnd.InCloud.PAUSES,
                Optional.empty())));
        BenchState state = play(
                with(tail),
                7000,
                new Turn(0, "battery_amperes", 20, 0),
                new Turn(0, "bus_volts", 24.9, 0),
                new Turn(1000, "bus_volts", 28.8, 0),
                new Turn(1000, "battery_amperes", 0, 2000));
        assertEquals(when(state.events(), "mppt", Change.TAIL_REACHED), 1000 + 1200 + 1200, 1e-3);
    }

    /** In the dark a charger holds nothing; its times stand still, and a night later it begins anew. */
    @Test
    public void inTheDarkNothingCharges() {
        BenchState state = play(
                with(ChargeDetails.NONE),
                30_000,
                new Turn(0, "sun_altitude_degrees", -5, 0),
                new Turn(0, "bus_volts", 28.8, 0),
                new Turn(20_000, "sun_altitude_degrees", 5, 0));
        assertEquals(when(state.events(), "mppt", Change.SOURCE_BACK), 20_000, 1e-6);
        assertEquals(when(state.events(), "mppt", Change.ABSORPTION_TIME_UP), 20_000 + 7200, 1e-6);
    }

    /** As from its menu; what it has not is no stage of it. */
    @Test
    public void aStageIsPutByHand() {
        BenchState state =
                play(with(ChargeDetails.NONE), 1, new Turn(0, "stage_mppt", ChargeStage.ABSORPTION.ordinal(), 0));
        assertEquals(charger(state).stage(), ChargeStage.ABSORPTION);
        assertEquals(state.knobs().get("stage_mppt"), (double) ChargeStage.ABSORPTION.ordinal());
        BenchState without =
                play(with(ChargeDetails.NONE), 1, new Turn(0, "stage_mppt", ChargeStage.EQUALIZATION.ordinal(), 0));
        assertEquals(charger(without).stage(), ChargeStage.FLOAT, "it has no equalization to be put into");
    }

    /**
     * A controller with a level for everything, walked once down and once up: what happens comes in the order of the voltages, each time
     * after its delay, and nothing is left out.
     */
    @Test
    public void everyLevelActsOnceDownAndOnceUp() {
        Plan plan = with(EVERY_LEVEL);
        LevelWalk walk = LevelWalk.of(plan);
        List<LevelWalk.Acted> levels = walk.passed().stream()
                .flatMap(passed -> passed.levels().stream())
                .toList();
        assertEquals(
                levels.stream().filter(one -> !one.acted()).toList(),
                List.of(),
                "every level of outputs, chargers and inverter acts");
        List<Event> events = walk.passed().stream()
                .flatMap(passed -> passed.events().stream())
                .toList();
        assertEquals(
                events.stream()
                        .filter(event -> event.subject().equals("mppt"))
                        .flatMap(event -> event.facts().stream())
                        .map(fact -> fact.change())
                        .toList(),
                List.of(
                        Change.RECHARGE_REACHED,
                        Change.BULK_BEGAN,
                        Change.ABSORPTION_BEGAN,
                        Change.EQUALIZATION_BEGAN,
                        Change.EQUALIZATION_TIME_UP,
                        Change.FLOAT_BEGAN,
                        Change.OVER_VOLTAGE_STOPS,
                        Change.OVER_VOLTAGE_RELEASES));
        double absorbs = when(events, "mppt", Change.ABSORPTION_BEGAN);
        assertEquals(when(events, "mppt", Change.EQUALIZATION_BEGAN), absorbs + 7200, 1e-6);
        assertEquals(
                events.stream()
                        .filter(event -> event.subject().equals("inverter") && event.kind() == Event.Kind.AC)
                        .flatMap(event -> event.facts().stream())
                        .map(fact -> fact.change())
                        .toList(),
                List.of(
                        Change.SEARCHES,
                        Change.TRANSFERRED,
                        Change.ALARM,
                        Change.INVERTER_LOW,
                        Change.ALARM_OVER,
                        Change.INVERTER_LOW_OVER,
                        Change.INVERTER_HIGH,
                        Change.INVERTER_HIGH_OVER));
        assertEquals(
                SupplyBench.play(plan, walk.script(), walk.endSeconds())
                        .events()
                        .subList(0, events.size()),
                events,
                "its script does the same at the bench");
    }

    /** The guards of two boxes open at 29.2 V for 2 s and close at 28 V, each with its half of the current. */
    @Test
    public void theBatteriesGuardsActToo() {
        BenchState state = play(
                FullSite.LITHIUM, 100, new Turn(10, "battery_volts", 29.3, 0), new Turn(50, "battery_volts", 27.9, 0));
        for (String box : List.of("a", "b")) {
            assertEquals(when(state.events(), box, Change.CHARGE_PATH_OPENED), 12, 1e-6);
            assertEquals(when(state.events(), box, Change.CHARGE_PATH_CLOSED), 52, 1e-6);
        }
        // 100 A is what each bears: 199 A of both are within it, 201 A are not, for 5 s.
        assertEquals(
                play(FullSite.LITHIUM, 100, new Turn(0, "battery_amperes", -199, 0))
                        .batteries(),
                play(FullSite.LITHIUM, 100).batteries());
        BenchState heavy = play(FullSite.LITHIUM, 20, new Turn(0, "battery_amperes", -201, 0));
        assertEquals(when(heavy.events(), "a", Change.DISCHARGE_PATH_OPENED), 5, 1e-6);
        assertEquals(
                LevelWalk.of(FullSite.LITHIUM).passed().stream()
                        .flatMap(passed -> passed.levels().stream())
                        .filter(one -> one.level().path().contains("/bms/") && !one.acted())
                        .toList(),
                List.of(),
                "each level of theirs is walked, and acts");
    }

    /** A window's levels act in the window: its clock is set there. The walk needs AC to go to, and to charge from. */
    @Test
    public void aWindowsLevelsAreWalkedInItsHours() {
        Plan plan = FullSite.PLAN.withProgram(FullSite.PLAN
                .program()
                .withAc(Optional.of(AcProgram.PLAIN
                        .withWindows(List.of(
                                new AcWindow(AcWindow.Kind.CHARGE, DailySpan.daily(23, 5), 0.85),
                                new AcWindow(AcWindow.Kind.DISCHARGE, DailySpan.daily(17, 20), 0.35)))
                        .withEndOfCharge(Optional.of(new AcProgram.EndOfCharge(0.9, 0.7))))));
        List<LevelWalk.Acted> levels = LevelWalk.of(plan).passed().stream()
                .flatMap(passed -> passed.levels().stream())
                .filter(one -> one.level().path().startsWith("program/ac/"))
                .toList();
        assertEquals(levels.size(), 4);
        assertEquals(levels.stream().filter(one -> !one.acted()).toList(), List.of());
        BenchState state = play(plan, 10_000, new Turn(0, "ac_present", 1, 0), new Turn(0, "state_of_charge", 0.5, 0));
        assertEquals(when(state.events(), "inverter", Change.TRANSFERRED), 12, 1e-6);
        BenchState later =
                play(plan, 8 * 3600, new Turn(0, "ac_present", 1, 0), new Turn(0, "state_of_charge", 0.5, 0));
        assertEquals(when(later.events(), "inverter", Change.TRANSFERRED_BACK), 5 * 3600, 1e-3, "from noon to 17 h");
    }

    /** A contact in the line to the battery that opens in the light is the same hazard as in a run; in the dark it is none. */
    @Test
    public void aLiveArrayCutOffIsSeenAtTheBench() {
        Plan plan = FullSite.output(FullSite.PLAN, "kitchen", output -> output.withLoads(List.of("mppt"))
                .withSide(Optional.of(Output.Side.BATTERY)));
        Turn low = new Turn(10, "battery_volts", 23, 0);
        assertEquals(when(play(plan, 60, low).events(), "mppt", Change.LIVE_ARRAY_CUT_OFF), 40, 1e-6);
        assertEquals(
                play(plan, 60, new Turn(0, "sun_altitude_degrees", -5, 0), low).events().stream()
                        .filter(event -> event.kind() == Event.Kind.HAZARD)
                        .toList(),
                List.of());
    }

    /** A brake stops at 30 V, holds ten seconds at least, and lets go at 28 V. */
    @Test
    public void aBrakeActsAtTheBench() {
        DcSource wind = new DcSource("wind", "wind", "wind", 30, 28);
        Plan plan = FullSite.site(FullSite.PLAN, "dcSources", List.of(wind));
        BenchState state = play(plan, 100, new Turn(20, "bus_volts", 30, 0), new Turn(22, "bus_volts", 27, 0));
        assertEquals(when(state.events(), "wind", Change.BRAKED), 20, 1e-6);
        assertEquals(when(state.events(), "wind", Change.BRAKE_RELEASED), 30, 1e-6);
        assertEquals(state.sources(), List.of(new BenchState.SourceAtBench("wind", true, false)));
    }
}
