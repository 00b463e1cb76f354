package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.logic.Condition;
import sparen.logic.SwitchLogic;
import sparen.program.Contact;
import sparen.program.DeviceClock;
import sparen.program.Lockout;
import sparen.program.Output;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.program.rule.ArrayOverVoltage;
import sparen.program.rule.ChargeInhibit;
import sparen.program.rule.ChargingFinishedSignal;
import sparen.program.rule.ClockSchedule;
import sparen.program.rule.CoolingByTemperature;
import sparen.program.rule.DuskByArrayVoltage;
import sparen.program.rule.DuskToDawn;
import sparen.program.rule.FaultSignal;
import sparen.program.rule.FollowsOutput;
import sparen.program.rule.FreeCondition;
import sparen.program.rule.FreeRule;
import sparen.program.rule.GeneratorStart;
import sparen.program.rule.HardCutOff;
import sparen.program.rule.HoursAfterDusk;
import sparen.program.rule.InverterEnable;
import sparen.program.rule.LoadInFloat;
import sparen.program.rule.LowBatterySignal;
import sparen.program.rule.MeasuredQuantity;
import sparen.program.rule.NotChargedSignal;
import sparen.program.rule.ProportionalDiversion;
import sparen.program.rule.RelativeDiversion;
import sparen.program.rule.RemoteRequest;
import sparen.program.rule.ShedStep;
import sparen.program.rule.SocDisconnect;
import sparen.program.rule.SourceTransfer;
import sparen.program.rule.SunAndClock;
import sparen.program.rule.SurplusByPower;
import sparen.program.rule.VentilationByGassing;
import sparen.program.rule.VoltageDisconnect;
import sparen.result.Event;
import sparen.result.RunResult;
import sparen.site.AcSource;
import sparen.site.Consumption;
import sparen.site.DailySpan;
import sparen.site.SensePoint;

/**
 * What each rule does that no other does, seen in a run. The house's battery is a straight line from 50 V to 54 V behind 4 mΩ, so that
 * voltages can be worked out by hand; that each rule behaves so is common practice, no source, where nothing else is said.
 */
public class RulesTest {
    private static final double HOUR = 3600;

    private static List<Event> moves(RunResult result, String output) {
        return result.events().stream()
                .filter(event -> event.subject().equals(output))
                .filter(event -> event.kind() == Event.Kind.OPENED || event.kind() == Event.Kind.CLOSED)
                .toList();
    }

    private static double[] times(RunResult result, String output) {
        return moves(result, output).stream().mapToDouble(Event::seconds).toArray();
    }

    /** At 52.4 V and 10 °C: 51.6 V + 16 × 4 mV × 15 K is 52.56 V, so a compensated LVD has acted and a plain one has not. */
    @Test
    public void compensatedDisconnectActsEarlierInTheCold() {
        House house = new House().load("lamp", null, new Consumption.ConstantPower(10));
        house.output("plain", null, new VoltageDisconnect("point", 51.6, 5, 53, 5));
        house.output("compensated", null, new VoltageDisconnect("point", 51.6, 5, 53, 5, Optional.of(-4.0)), "lamp");
        RunResult result = house.run(600);
        assertEquals(times(result, "plain").length, 0);
        assertEquals(times(result, "compensated"), new double[] {5}, 0.01);
    }

    /** The load of 40 A pulls 52.4 V to 51.94 V; without it the voltage is back at once, but nobody charges before 600 s. */
    @Test
    public void hardCutOffOpensAtOnceAndWaitsForCharge() {
        House house = new House().pulses("heavy", null, 0, 0, 100, 4000, 200, 0).source(600, 0, 600.001, 20);
        house.output("cut", null, new HardCutOff("point", 52.2, 52.3, 5, 30), "heavy");
        double[] times = times(house.run(900), "cut");
        assertEquals(times[0], 100, 0.001);
        assertEquals(times[1], 630, 0.01);
        assertEquals(times.length, 2);
    }

    /** The monitor believes in 60 %; the backstop sees 51.9 V. Either alone would open it, and one never comes. */
    @Test
    public void socDisconnectHasAVoltageBehindIt() {
        House house = new House().monitor(0.6).load("lamp", null, new Consumption.ConstantCurrent(40));
        house.curve = List.of(49.0, 53.0);
        house.output("soc", null, new SocDisconnect("monitor", 20, 60, 40, 60, "point", 51.3, 20), "lamp");
        List<Event> moves = moves(house.run(600), "soc");
        assertEquals(moves.get(0).seconds(), 20, 0.01);
        assertTrue(
                moves.get(0).reason().contains("backstop 51.3 V"), moves.get(0).reason());
        house.outputs.clear();
        house.curve = List.of(50.0, 54.0);
        house.output("soc", null, new SocDisconnect("monitor", 59, 60, 70, 60, "point", 40, 20), "lamp");
        // 59 % is reported from 59.5 % on: 0.5 % of 400 Ah at 40 A is 180 s, seen at the next second, and 60 s more.
        assertEquals(times(house.run(600), "soc")[0], 241, 1);
    }

    @Test
    public void shedLadderComesBackInItsTurn() {
        House house = new House()
                .pulses("heavy", null, 0, 0, 100, 8000, 300, 0)
                .load("first", null, new Consumption.ConstantPower(10))
                .load("second", null, new Consumption.ConstantPower(10));
        house.output("radio", null, new VoltageDisconnect("point", 51.9, 20, 52.2, 40), "first");
        house.output("kitchen", null, new ShedStep("point", 52.0, 5, 52.2, "radio", 90), "second");
        RunResult result = house.run(900);
        assertEquals(times(result, "kitchen"), new double[] {105, 300 + 40 + 90}, 0.05);
        assertEquals(times(result, "radio"), new double[] {120, 340}, 0.05);
    }

    /** Enabled in its hours only, though the voltage carries it all the time. */
    @Test
    public void inverterIsEnabledInItsHours() {
        House house = new House().withInverter(3000);
        // The run begins at 01:00 local time.
        house.output("enable", new InverterEnable("point", 51, 5, 52, 60, DailySpan.daily(2, 3)), null, "inverter");
        RunResult result = house.run(4 * HOUR);
        assertEquals(times(result, "enable"), new double[] {HOUR + 60, 2 * HOUR}, 0.01);
    }

    /** The level it goes by falls from absorption to float, and the diversion with it: an absolute level near absorption would rest. */
    @Test
    public void relativeDiversionFollowsTheStage() {
        House house = new House().sun("mppt", 3000).load("heater", null, new Consumption.Resistance(60));
        house.startCharge = 0.97;
        house.output("relative", new RelativeDiversion("point", "mppt", -0.1, 30, -1.5, 30, 0), null, "heater");
        RunResult result = house.run(20 * HOUR);
        Event toFloat = House.of(result, Event.Kind.STAGE).stream()
                .filter(event -> event.reason().contains("float at"))
                .findFirst()
                .orElseThrow();
        double[] moves = times(result, "relative");
        assertTrue(moves.length == 1 && moves[0] < toFloat.seconds(), "closed in absorption, and still in float");
        assertTrue(moves(result, "relative").get(0).reason().contains("-0.1 V from the present regulation level"));
    }

    /** In the balance 20 A = k (V − 53) + (V − 52.4) / 4 mΩ with k = 54 / 10 Ω / 1 V; the battery's current is the rest. */
    @Test
    public void proportionalDiversionTakesWhatItsLineSays() {
        House house = new House().source(0, 200).load("heater", null, new Consumption.Resistance(10));
        house.output("pulse", new ProportionalDiversion(53, 54), null, "heater");
        RunResult result = house.run(1);
        double emf = 50 + 4 * result.endStateOfCharge();
        double k = 54.0 / 10;
        double volts = (200 + k * 53 + emf / 0.004) / (k + 1 / 0.004);
        assertEquals(result.endBatteryVolts(), volts, 1e-4);
        assertEquals(result.endBatteryAmperes(), 200 - k * (volts - 53), 0.01);
        assertTrue(volts > 53.1 && volts < 54, "between the two: " + volts);
    }

    @Test
    public void surplusByPowerSeesWhatGoesUnused() {
        House house = new House().sun("mppt", 3000).load("heater", null, new Consumption.Resistance(4));
        house.startCharge = 0.99;
        house.output("surplus", new SurplusByPower(800, 120, 2, 60, 0), null, "heater");
        RunResult result = house.run(24 * HOUR);
        List<Event> moves = moves(result, "surplus");
        assertEquals(moves.get(0).seconds() % 60, 0, 1e-3, "seen at a whole minute");
        assertTrue(
                moves.get(0).reason().contains("surplus at or above 800 W"),
                moves.get(0).reason());
        assertTrue(
                moves.get(1).reason().contains("battery current at or below -2 A"),
                moves.get(1).reason());
    }

    @Test
    public void loadInFloatWaitsForTheStage() {
        House house = new House().sun("mppt", 3000).load("pump", null, new Consumption.ConstantPower(100));
        house.startCharge = 0.97;
        house.output("float", new LoadInFloat("mppt", 600, "point", 52, 60), null, "pump");
        house.output("done", new ChargingFinishedSignal("mppt", 60), null);
        RunResult result = house.run(20 * HOUR);
        double reached = House.of(result, Event.Kind.STAGE).stream()
                .filter(event -> event.reason().contains("float at"))
                .findFirst()
                .orElseThrow()
                .seconds();
        assertEquals(times(result, "float")[0], reached + 600, 0.01);
        assertEquals(times(result, "done")[0], reached + 60, 0.01);
    }

    /** Two sources at once; the temperature of the outdoor air decides at its samples. */
    @Test
    public void chargeInhibitStopsSeveralSourcesInTheCold() {
        House house = new House().sun("east", 1500).sun("west", 1500);
        house.airCelsius = 1;
        house.output("guard", null, new ChargeInhibit(2, 45, 1, "point", 60, 55, 5), "east", "west");
        RunResult cold = house.run(14 * HOUR);
        assertTrue(
                moves(cold, "guard").get(0).reason().contains("battery at or below 2 °C"),
                cold.events().toString());
        house.airCelsius = 12;
        RunResult warm = house.run(14 * HOUR);
        assertEquals(times(warm, "guard").length, 0);
        assertTrue(warm.ledger().arrayJoules() - warm.ledger().curtailedJoules() > 1e6);
    }

    /** In the line from the array nothing comes through, and the array's own voltage stays to be seen; it holds ten minutes at least. */
    @Test
    public void arrayOverVoltageOpensTheArraySide() {
        House house = new House().sun("mppt", 3000);
        house.airCelsius = -15;
        house.startCharge = 0.5;
        house.output("array", null, new ArrayOverVoltage("mppt", 60, 50, 600), "mppt")
                .last(o -> o.withSide(Optional.of(Output.Side.ARRAY)));
        RunResult result = house.run(14 * HOUR);
        List<Event> moves = moves(result, "array");
        assertTrue(
                moves.get(0).reason().contains("array at or above 60 V"),
                moves.get(0).reason());
        assertTrue(moves.size() == 1 || moves.get(1).seconds() - moves.get(0).seconds() >= 600);
        assertTrue(result.ledger().curtailedJoules() > 0.9 * result.ledger().arrayJoules());
    }

    /** At the same voltage it runs while charged and not at rest, and goes on after. */
    @Test
    public void ventilationNeedsChargeAndRunsOn() {
        House house = new House().source(0, 0, 600, 0, 600.001, 50, 900, 50, 900.001, 0, 2000, 0);
        house.startCharge = 0.9;
        house.output("fan", new VentilationByGassing("point", 53.5, Optional.empty(), 5, 15, 300), null);
        assertEquals(times(house.run(2000), "fan"), new double[] {600, 1200}, 0.01);
    }

    @Test
    public void coolingGoesByTemperatureAtItsSamples() {
        House house = new House().sun("mppt", 100);
        house.airCelsius = 20;
        house.output("fan", new CoolingByTemperature(CoolingByTemperature.Where.AIR, 22, 20, 60), null);
        double[] times = times(house.run(24 * HOUR), "fan");
        assertEquals(times.length, 2);
        assertEquals(times[0] % 900, 0, 1e-3);
        assertTrue(times[0] > 6 * HOUR && times[1] > times[0] + HOUR);
    }

    @Test
    public void lightsKnowDuskHoursAndTheClock() {
        House house = new House().sun("mppt", 500);
        house.output("night", new DuskToDawn(-4, 0), null);
        house.output("evening", new HoursAfterDusk(-4, 4), null);
        house.output("mixed", new SunAndClock(-4, 21, 5), null);
        house.output("array", new DuskByArrayVoltage("mppt", 20, 120, 30, 120), null);
        RunResult result = house.run(48 * HOUR);
        double[] night = times(result, "night");
        double dusk = night[2];
        assertEquals(times(result, "evening")[2], dusk, 0.01);
        assertEquals(times(result, "evening")[3], dusk + 4 * HOUR, 0.01);
        assertEquals(times(result, "evening")[4] - dusk, 24 * HOUR, 600, "not again before the next dusk");
        // Local time is an hour ahead of the run's: 21:00 is 20 h after its start.
        double[] mixed = times(result, "mixed");
        assertTrue(Arrays.stream(mixed).anyMatch(at -> Math.abs(at - 20 * HOUR) < 0.01), "off at 21:00");
        assertTrue(Arrays.stream(mixed).anyMatch(at -> Math.abs(at - 28 * HOUR) < 0.01), "on at 05:00");
        double[] array = times(result, "array");
        assertEquals(array[2] % 60, 0, 0.01, "at a minute, after its delay");
        assertEquals(array[2], dusk, 2 * HOUR);
    }

    /** 2 March 2026 is a Monday. The clock is ten minutes fast and gains a minute a day. */
    @Test
    public void clockScheduleGoesByItsOwnClockAndDays() {
        House house = new House();
        DailySpan span = new DailySpan(8, 9, List.of(DayOfWeek.TUESDAY), List.of());
        house.output("true", new ClockSchedule(List.of(span)), null);
        house.output("own", new ClockSchedule(List.of(DailySpan.daily(8, 9))), null)
                .last(output -> output.withClock(Optional.of(new DeviceClock(600, 60, false))));
        RunResult result = house.run(48 * HOUR);
        assertEquals(times(result, "true"), new double[] {31 * HOUR, 32 * HOUR}, 0.01);
        double[] own = times(result, "own");
        double slowed = 1 + 60 / 86_400.0;
        assertEquals(own[0], (7 * HOUR - 600) / slowed, 0.01);
        assertEquals(own[2], (31 * HOUR - 600) / slowed, 0.01);
    }

    /** Fed from the inverter, which is off from 02:00 to 03:00 local time: its clock begins at midnight then. */
    @Test
    public void aClockThatForgetsBeginsAtMidnight() {
        House house = new House().withInverter(3000);
        house.output(
                "enable", new ClockSchedule(List.of(DailySpan.daily(0, 2), DailySpan.daily(3, 24))), null, "inverter");
        house.output("lamp", new ClockSchedule(List.of(DailySpan.daily(2, 4))), null)
                .last(output ->
                        output.withSupply(Optional.of("inverter")).withClock(Optional.of(new DeviceClock(0, 0, true))));
        RunResult result = house.run(7 * HOUR);
        assertEquals(House.of(result, Event.Kind.CLOCK).get(0).seconds(), 2 * HOUR, 0.01);
        assertEquals(times(result, "lamp"), new double[] {4 * HOUR, 6 * HOUR}, 0.01);
    }

    private static AcSource.Generator generator() {
        return new AcSource.Generator(
                "generator", "generator", 3000, 1, 20, 0.3, 60, 0, 30, 3, 0.3, 0.35, Optional.empty());
    }

    /** Called by load and for exercise though the battery is full; quiet hours let it go. */
    @Test
    public void generatorIsCalledByLoadAndForExercise() {
        House house = new House().withInverter(3000).monitor(0.9);
        house.acSources.add(generator());
        house.pulses("saw", "inverter", 0, 0, 3000, 2000, 5000, 100);
        GeneratorStart rule = new GeneratorStart(
                "monitor",
                20,
                60,
                50,
                10,
                60,
                0,
                0,
                List.of(),
                Optional.empty(),
                Optional.of(new GeneratorStart.StartLoad(1500, 30, 500)),
                Optional.of(DailySpan.daily(4, 4.5)),
                Optional.empty());
        house.output("call", rule, null, "generator");
        List<Event> moves = moves(house.run(5 * HOUR), "call");
        assertEquals(moves.get(0).seconds(), 3030, 0.1);
        assertEquals(moves.get(1).seconds(), 5010, 0.1);
        assertEquals(moves.get(2).seconds(), 3 * HOUR, 0.1);
        assertEquals(moves.get(2).reason(), "exercise run");
        assertEquals(moves.get(3).seconds(), 3.5 * HOUR + 10, 0.1);
    }

    /** Away from the battery only while the source is there, and back at once when it is gone. */
    @Test
    public void sourceTransferComesBackWithTheOutage() {
        House house = new House().withInverter(3000).load("lamp", "inverter", new Consumption.ConstantPower(500));
        house.acSources.add(generator());
        house.requests = List.of(new Request("start", 100, 1000));
        house.output("call", new RemoteRequest("start", 7200), null, "generator");
        house.output("transfer", new SourceTransfer("point", 53, 60, 60, 60), null, "inverter");
        RunResult result = house.run(2000);
        assertEquals(times(result, "call"), new double[] {100, 1000}, 0.01);
        double[] transfer = times(result, "transfer");
        assertTrue(transfer[0] > 160 && transfer[0] < 300, "after the start and 60 s: " + transfer[0]);
        assertTrue(moves(result, "transfer").get(1).reason().contains("the AC source is gone"));
    }

    @Test
    public void aRequestIsLetGoByItselfAndMustBeMadeAnew() {
        House house = new House();
        house.requests = List.of(new Request("button", 100, 5000), new Request("button", 6000, 6050));
        house.output("door", new RemoteRequest("button", 600), null);
        assertEquals(times(house.run(8000), "door"), new double[] {100, 700, 6000, 6050}, 0.01);
    }

    @Test
    public void signalsTellOfNoChargeAndOfFaults() {
        House house =
                new House().source(0, 10, 1000, 10, 1000.001, 0).load("lamp", null, new Consumption.ConstantPower(100));
        house.talkLosses = List.of(new TalkLoss(500, 900));
        house.output("nocharge", new NotChargedSignal(1, 0.5), null);
        house.output("fault", new FaultSignal(10, 600), null);
        RunResult result = house.run(3 * HOUR);
        assertEquals(times(result, "nocharge"), new double[] {1000 + HOUR}, 0.01);
        assertEquals(times(result, "fault"), new double[] {510, 1110}, 0.01);
    }

    /** An interlock: never both closed; and a warning that starts a follower late. */
    @Test
    public void oneOutputFollowsAnother() {
        House house = new House().pulses("heavy", null, 0, 0, 100, 6000, 400, 0);
        house.output("warning", new LowBatterySignal("point", 52.1, 10, 52.3, 10), null);
        house.output("bell", new FollowsOutput("warning", false, 30, 0), null);
        house.output("idle", new FollowsOutput("warning", true, 0, 0), null);
        RunResult result = house.run(900);
        assertEquals(times(result, "warning"), new double[] {110, 410}, 0.01);
        assertEquals(times(result, "bell"), new double[] {140, 410}, 0.01);
        // It closes as the run begins, the warning being off.
        assertEquals(times(result, "idle"), new double[] {0, 110, 410}, 0.01);
    }

    @Test
    public void freeConditionsAreAllAnyAndNot() {
        House house = new House().monitor(0.6).pulses("heavy", null, 0, 0, 100, 6000, 400, 0);
        FreeCondition low = new FreeCondition.Voltage("point", false, 52.1);
        FreeCondition charged = new FreeCondition.Report("monitor", true, 90);
        FreeCondition all = new FreeCondition.AllOf(List.of(
                new FreeCondition.AnyOf(List.of(low, charged)),
                new FreeCondition.Not(new FreeCondition.Measured(MeasuredQuantity.BATTERY_CELSIUS, true, 40))));
        house.output("free", new FreeRule(all, 7, Optional.empty(), 3, 0), null);
        assertEquals(times(house.run(900), "free"), new double[] {107, 403}, 0.01);
    }

    /** A load that always pulls the voltage down trips thrice within the time: waits 20 s, 40 s, then stays open until dawn. */
    @Test
    public void lockoutGrowsAndThenWaitsForDawn() {
        House house = new House().load("heavy", null, new Consumption.ConstantCurrent(120));
        Lockout lockout = new Lockout(3, 600, 2, 20, Lockout.Release.DAWN, 0);
        house.output("cut", null, new VoltageDisconnect("point", 52.1, 5, 52.2, 5), "heavy")
                .last(o -> o.withLockout(Optional.of(lockout)));
        RunResult result = house.run(12 * HOUR);
        List<Event> moves = moves(result, "cut");
        assertEquals(moves.get(0).seconds(), 5, 0.01);
        assertEquals(moves.get(1).seconds(), 25, 0.01);
        assertEquals(moves.get(2).seconds(), 30, 0.01);
        assertEquals(moves.get(3).seconds(), 70, 0.01);
        assertTrue(
                moves.get(4).reason().contains("locked out after 3 trips"),
                moves.get(4).reason());
        assertEquals(moves.get(5).reason(), "the lockout is over");
        assertTrue(moves.get(5).seconds() > 5 * HOUR && moves.get(5).seconds() < 8 * HOUR, "at sunrise");
    }

    /** After its third trip at 70 s and 5 s it stays open for hours, until somebody resets it. */
    @Test
    public void aHandResetsALockout() {
        House house = new House().load("heavy", null, new Consumption.ConstantCurrent(120));
        Lockout lockout = new Lockout(3, 600, 2, 20, Lockout.Release.HAND, 0);
        house.output("cut", null, new VoltageDisconnect("point", 52.1, 5, 52.2, 5), "heavy")
                .last(o -> o.withLockout(Optional.of(lockout)));
        assertEquals(moves(house.run(12 * HOUR), "cut").size(), 5, "nobody came");
        house.requests = List.of(new Request("reset-cut", 3 * HOUR, 3 * HOUR + 10));
        List<Event> moves = moves(house.run(12 * HOUR), "cut");
        assertEquals(moves.get(5).seconds(), 3 * HOUR, 0.01);
        assertEquals(moves.get(5).reason(), "the lockout is over");
    }

    /** The coil lets go below 51.5 V and needs 52 V again; what it carried is cut though no rule has spoken. */
    @Test
    public void coilDropsOutOnASaggingBus() {
        House house = new House()
                .pulses("heavy", null, 0, 0, 100, 13_000, 102, 4000, 200, 0)
                .load("lamp", null, new Consumption.ConstantPower(10));
        Contact coil = Contact.of(Contact.Kind.RELAY)
                .withOperateSeconds(Optional.of(0.05))
                .withPullInVolts(Optional.of(52.2))
                .withDropOutVolts(Optional.of(51.5));
        house.output("contactor", null, null, "lamp").last(output -> output.withContact(Optional.of(coil)));
        RunResult result = house.run(400);
        assertEquals(times(result, "contactor"), new double[] {100.05, 200.05}, 0.001);
        assertTrue(moves(result, "contactor").get(0).reason().contains("lets go below 51.5 V"));
    }

    /** Looks at whole tens of seconds: a dip between two looks is not seen; rounded to 0.5 V, 51.74 V reads 51.5 V. */
    @Test
    public void aDeviceSeesInStepsAtItsLooks() {
        House house = new House().pulses("heavy", null, 0, 0, 101, 8600, 108, 0, 201, 8600, 400, 0);
        house.point = new SensePoint(
                "point",
                "battery terminals",
                SensePoint.Place.BATTERY_TERMINALS,
                0,
                Optional.empty(),
                Optional.of(0.5),
                Optional.of(10.0));
        house.output("cut", null, new VoltageDisconnect("point", 51.5, 0, 53, 5));
        assertEquals(times(house.run(600), "cut"), new double[] {210}, 0.001);
        house.output("fine", null, new VoltageDisconnect("point", 51.49, 0, 53, 5));
        assertEquals(times(house.run(600), "fine").length, 0, "51.49 V is never read as such");
    }

    /** The battery side of a live controller is a hazard, told with what its array can reach. */
    @Test
    public void openingTheBatterySideUnderALiveArrayIsAHazard() {
        House house = new House().sun("mppt", 2000);
        house.output("side", new ClockSchedule(List.of(DailySpan.daily(0, 12))), null, "mppt")
                .last(output -> output.withSide(Optional.of(Output.Side.BATTERY)));
        List<Event> hazards = House.of(house.run(20 * HOUR), Event.Kind.HAZARD);
        assertEquals(hazards.get(0).seconds(), 11 * HOUR, 0.01);
        assertTrue(
                hazards.get(0).reason().contains("its array can reach 80 V"),
                hazards.get(0).reason());
    }

    /** A rule that nobody knows: its own file is all it takes to act. */
    private record NightOfTheFullTank(double hour) implements Rule {
        @Override
        public SwitchLogic compile(Surroundings around) {
            return SwitchLogic.follows(
                    new Condition.AtOrAbove(around.hour(), hour), 0, 0, "the hour has come", "a new day");
        }

        @Override
        public Sentence sentence(Surroundings around) {
            return Sentence.start("Closes from ")
                    .hour("hour", "from", hour, 0, 24)
                    .then(".");
        }
    }

    @Test
    public void aMadeUpRuleActsByItsOwnFileAlone() {
        House house = new House();
        house.output("odd", new NightOfTheFullTank(3), null);
        RunResult result = house.run(4 * HOUR);
        assertEquals(times(result, "odd"), new double[] {2 * HOUR}, 0.01);
        assertEquals(moves(result, "odd").get(0).reason(), "the hour has come");
    }

    /** What runs when the run ends is counted down, with what remains. */
    @Test
    public void everyTimerCanBeSeen() {
        House house = new House().pulses("heavy", null, 0, 0, 100, 6000);
        house.output("cut", null, new VoltageDisconnect("point", 52.1, 60, 53, 5));
        var countdowns = house.run(130).outputs().get(0).countdowns();
        assertEquals(countdowns.size(), 1);
        assertEquals(countdowns.get(0).remainingSeconds(), 30, 0.01);
        assertTrue(
                countdowns.get(0).what().contains("LVD 52.1 V"),
                countdowns.get(0).what());
    }
}
