package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.check.Checks;
import sparen.history.NightsUse;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.AcProgram.ChargePriority;
import sparen.program.AcProgram.FeedLevels;
import sparen.program.AcProgram.SourcePriority;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.rule.RemoteRequest;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.Ledger;
import sparen.result.RunResult;
import sparen.site.AcCoupledArray;
import sparen.site.AcCoupledArray.ArrayMeter;
import sparen.site.AcSource;
import sparen.site.AcSource.ExportMeter;
import sparen.site.Consumption;
import sparen.site.DailySpan;
import sparen.site.Inverter;
import sparen.site.SolarArray;
import sparen.sun.DayType;
import sparen.working.FloorFromHistory;
import sparen.working.Working;

/**
 * Who feeds, who charges and what goes out, by the clock and by levels. Modes and times of the trade: common practice, no source;
 * powers, voltages and energies by hand.
 */
public class AcProgramTest {
    private static final double HOUR = 3600;
    private static final double DAY = 24 * HOUR;

    private static House house(double loadWatts, boolean blends, AcProgram program) {
        House house =
                new House().withInverter(3000).load("house", "inverter", new Consumption.ConstantPower(loadWatts));
        house.inverter = house.inverter.map(one -> one.withTransfer(
                Optional.of(new Inverter.Transfer(30, 12, true, Optional.of(blends), Optional.empty()))));
        house.acSources.add(new AcSource.Feeder("feeder", "feeder", 16, 1, 0, 1, 2000, List.of()));
        house.ac = program;
        return house;
    }

    private static AcProgram program(SourcePriority source, ChargePriority charging, AcWindow... windows) {
        return new AcProgram(16, source, charging, 0, 1000, 0, List.of(windows), false);
    }

    private static List<Event> changes(RunResult result, Change change) {
        return House.of(result, Event.Kind.AC).stream()
                .filter(one -> one.has(change))
                .toList();
    }

    /**
     * On AC with a full battery the sun is thrown away by gear that only switches. Gear that blends puts it on the loads: what is no
     * longer curtailed is no longer imported, less the losses of the way; the battery goes to its float, and no lower.
     */
    @Test
    public void sunComesBeforeAcWhereTheGearBlends() {
        AcProgram program = program(SourcePriority.AC_FIRST, ChargePriority.SUN_ONLY);
        RunResult[] runs = new RunResult[2];
        for (boolean blends : new boolean[] {false, true}) {
            House house = house(600, blends, program).sun("mppt", 3000);
            house.startCharge = 0.89;
            runs[blends ? 1 : 0] = house.run(DAY);
        }
        Ledger switched = runs[0].ledger();
        Ledger blended = runs[1].ledger();
        double saved = switched.importJoules() - blended.importJoules();
        double taken = switched.curtailedJoules() - blended.curtailedJoules();
        assertTrue(taken > 2 * 3.6e6, "some kilowatt-hours on a clear day: " + taken);
        // 0.97 in the controller; 600 W take 20 + 600 × 1.04 + 3.6 = 648 W, and leave 620 W with the source, whose is
        // the idle draw else.
        double fromBattery = switched.storedIncreaseJoules() - blended.storedIncreaseJoules();
        assertEquals(saved / (0.97 * taken + fromBattery), 620.0 / 648, 0.005);
        assertTrue(runs[1].endStateOfCharge() >= 0.895, "the float is held, and no lower");
        assertEquals(blended.unservedJoules().get("house"), 0.0);
    }

    /** Sun first: the loads have it before the battery, and only what it lacks is imported; the battery neither gives nor loses. */
    @Test
    public void theSunFeedsFirstAndAcSupplements() {
        House house = house(1500, true, program(SourcePriority.SUN_FIRST, ChargePriority.SUN_ONLY))
                .sun("mppt", 1000);
        RunResult result = house.run(DAY);
        Ledger ledger = result.ledger();
        double sun = ledger.arrayJoules();
        assertTrue(ledger.curtailedJoules() < 0.03 * sun, "none is thrown away: " + ledger.curtailedJoules() / sun);
        double battery = ledger.flows().joules(Ledger.Flows.Source.BATTERY, Ledger.Flows.Use.LOADS);
        assertTrue(battery < 0.01 * sun, "the battery does not feed: " + battery / sun);
        assertTrue(ledger.importJoules() > 1500 * DAY - sun, "AC supplements");
        assertTrue(ledger.importJoules() < 1520 * DAY - 0.8 * sun, "and no more than that");
    }

    /** Gear that only switches is on AC while the sun is not enough: to the sun in the morning and back in the evening. */
    @Test
    public void gearThatOnlySwitchesGoesWithTheSun() {
        AcProgram program =
                program(SourcePriority.SUN_FIRST, ChargePriority.SUN_ONLY).withLevelDelaySeconds(300);
        House house = house(300, false, program).sun("mppt", 2000);
        RunResult result = house.run(DAY);
        assertEquals(changes(result, Change.TO_AC_SUN).size(), 2, "at night, and in the evening again");
        assertEquals(changes(result, Change.TO_SUN).size(), 1, "in the morning");
    }

    /** Never AC: neither feeding nor charging, in no window; and where AC never charges, a window for charging holds but does not charge. */
    @Test
    public void whatIsNeverAllowedIsNotDoneInAWindowEither() {
        AcWindow always = new AcWindow(AcWindow.Kind.CHARGE, DailySpan.daily(0, 24), 0.9);
        RunResult never = house(300, true, program(SourcePriority.NEVER_AC, ChargePriority.BOTH, always))
                .run(2 * HOUR);
        assertEquals(never.ledger().importJoules(), 0.0);
        RunResult held = house(300, true, program(SourcePriority.AC_FIRST, ChargePriority.SUN_ONLY, always))
                .run(2 * HOUR);
        assertEquals(held.ledger().importJoules(), 320 * (2 * HOUR - 12), 1, "loads and the idle draw alone");
    }

    /** Where AC charges in its windows only, it charges in the second hour and in no other: 500 W of AC for an hour. */
    @Test
    public void acChargesInItsWindowsOnly() {
        // Local time is an hour ahead of the run's own.
        AcWindow second =
                new AcWindow(AcWindow.Kind.CHARGE, DailySpan.daily(2, 3), 0.9, Optional.of(500.0), Optional.empty());
        RunResult result = house(300, false, program(SourcePriority.AC_FIRST, ChargePriority.IN_WINDOWS, second))
                .run(4 * HOUR);
        assertEquals(result.ledger().importJoules(), 320 * (4 * HOUR - 12) + 500 * HOUR, 1);
    }

    /** A charge window with a power takes no more: 500 W of AC, 450 W into the battery. */
    @Test
    public void aWindowChargesWithItsPower() {
        AcWindow always =
                new AcWindow(AcWindow.Kind.CHARGE, DailySpan.daily(0, 24), 0.9, Optional.of(500.0), Optional.empty());
        RunResult result = house(300, true, program(SourcePriority.AC_FIRST, ChargePriority.BOTH, always))
                .run(2 * HOUR);
        assertEquals(result.ledger().importJoules(), (320 + 500) * (2 * HOUR - 12), 1);
    }

    /**
     * A discharge window to the grid: 1500 W beside AC, 500 W for the loads and 1000 W out; DC 20 + 1500 × 1.04 + 0.03 × 1500² / 3000 =
     * 1602.5 W. Held to 600 W by the program's limit it is 1100 W; at the floor it ends and AC feeds.
     */
    @Test
    public void theBatteryGivesToTheGridDownToItsFloor() {
        AcWindow dear = new AcWindow(
                AcWindow.Kind.DISCHARGE, DailySpan.daily(0, 24), 0.5, Optional.of(1500.0), Optional.of(true));
        AcProgram program = program(SourcePriority.AC_FIRST, ChargePriority.BOTH, dear);
        RunResult result = house(500, true, program).run(HOUR);
        double time = HOUR - 12;
        assertEquals(result.ledger().exportJoules(), 1000 * time, 1);
        assertEquals(result.ledger().importJoules(), 0.0, 1e-6);
        double battery = 1602.5 * time + 12 * (20 + 500 * 1.04 + 0.03 * 500 * 500 / 3000);
        assertEquals(-result.ledger().storedIncreaseJoules() / battery, 1, 0.02, "but for the battery's own losses");

        House limited = house(500, true, program.withExportLimitWatts(Optional.of(600.0)));
        assertEquals(limited.run(HOUR).ledger().exportJoules(), 600 * time, 1);
        House plain = house(500, false, program);
        assertEquals(plain.run(HOUR).ledger().exportJoules(), 0.0, "gear that only switches gives nothing out");

        RunResult toFloor = house(500, true, program).run(12 * HOUR);
        assertEquals(toFloor.endStateOfCharge(), 0.5, 0.005);
        assertTrue(toFloor.ledger().importJoules() > 500 * 4 * HOUR, "then AC feeds");
    }

    /** Levels in percent stand for the volts, which are not looked at: to AC at 58 %, back above 62 % when AC has charged so far. */
    @Test
    public void levelsOfChargeStandForTheVolts() {
        AcProgram program = program(SourcePriority.BATTERY_FIRST, ChargePriority.BOTH)
                .withToAcVolts(60)
                .withByStateOfCharge(Optional.of(new FeedLevels(0.58, 0.62)));
        RunResult result = house(1000, false, program).run(6 * HOUR);
        Event toAc = changes(result, Change.TO_AC_SOC).get(0);
        Event back = changes(result, Change.TO_BATTERY_SOC).get(0);
        assertEquals(toAc.stateOfCharge(), 0.58, 1e-6);
        assertEquals(back.stateOfCharge(), 0.62, 1e-6);
        assertEquals(changes(result, Change.TO_AC).size(), 0);
        // A hundredth of the run a bucket: above its level until it goes to AC, below until it comes back; AC is there
        // all the time.
        double[] above = result.trace().aboveLevel();
        double bucket = result.seconds() / above.length;
        assertEquals(above[(int) (toAc.seconds() / bucket) - 1], 1.0);
        assertEquals(above[(int) (toAc.seconds() / bucket) + 1], 0.0);
        assertEquals(above[(int) (back.seconds() / bucket) + 1], 1.0);
        assertEquals(Arrays.stream(result.trace().acPresent()).min().orElseThrow(), 1.0);
        assertEquals(Arrays.stream(result.trace().sunEnough()).max().orElseThrow(), 0.0);
    }

    /** Outside of windows AC charges to 62 % and, 400 W of direct current later, again from 58 %. */
    @Test
    public void acChargesBetweenTwoLevels() {
        AcProgram program = program(SourcePriority.AC_FIRST, ChargePriority.BOTH)
                .withEndOfCharge(Optional.of(new AcProgram.EndOfCharge(0.62, 0.58)));
        House house = house(300, false, program).load("lamp", null, new Consumption.ConstantPower(400));
        RunResult result = house.run(12 * HOUR);
        Event charged = changes(result, Change.CHARGED_FROM_AC).get(0);
        Event again = changes(result, Change.CHARGES_FROM_AC).get(0);
        assertEquals(charged.stateOfCharge(), 0.62, 1e-6);
        assertEquals(again.stateOfCharge(), 0.58, 1e-6);
        // 4 % of 400 Ah at about 52.4 V are 838 Wh, a little over two hours at 400 W.
        assertEquals((again.seconds() - charged.seconds()) / HOUR, 838 / 400.0, 0.03);
        assertTrue(changes(result, Change.CHARGED_FROM_AC).size() >= 2, "and so on");
    }

    /**
     * Discharging ends at 20 h, charging begins at 2 h. In between 400 W take 20 + 400 × 1.04 + 0.03 × 400² / 3000 = 437.6 W of direct
     * current: 2626 Wh at about 52.2 V are 50.3 Ah of 400 Ah, 12.6 %. With a tenth in reserve the floor is 22.6 %, rounded up.
     */
    @Test
    public void aFloorComesFromTheNightsOfARun() {
        AcProgram program = program(
                SourcePriority.BATTERY_FIRST,
                ChargePriority.IN_WINDOWS,
                new AcWindow(AcWindow.Kind.DISCHARGE, DailySpan.daily(17, 20), 0.1),
                new AcWindow(AcWindow.Kind.CHARGE, DailySpan.daily(2, 6), 0.9));
        RunResult result = house(400, false, program).run(30.5 * DAY);
        NightsUse use = NightsUse.of(house(400, false, program).plan(), result.nightsUsed())
                .orElseThrow();
        assertEquals(use.nights(), 30);
        assertEquals(use.used(), 0.126, 0.001);
        assertEquals(FloorFromHistory.of(use).value(), 23.0);
        assertTrue(changes(result, Change.WINDOW_CHARGED).size() >= 30, "each window says when it has charged");
        RunResult shorter = house(400, false, program).run(5 * DAY);
        Working few =
                FloorFromHistory.of(NightsUse.of(house(400, false, program).plan(), shorter.nightsUsed())
                        .orElseThrow());
        assertEquals(few.value() + few.unit(), "4.0nights");
        assertTrue(few.title().contains("too few"), few.title());
    }

    private static House onGenerator(double noLoad, double loaded) {
        House house = house(3000, false, program(SourcePriority.AC_FIRST, ChargePriority.SUN_ONLY));
        house.acSources.set(
                0,
                new AcSource.Generator(
                                "generator", "generator", 4000, 1, 10, 0.3, 0, 0, 30, 3, 0.3, 0.35, Optional.empty())
                        .withFrequency(Optional.of(new AcSource.Frequency(noLoad, loaded))));
        house.output("call", null, null, "generator");
        house.inverter = house.inverter.map(one -> one.withTransfer(Optional.of(new Inverter.Transfer(
                30,
                12,
                true,
                Optional.empty(),
                Optional.of(new Inverter.Accepts(184, 253, 2, Optional.of(49.5), Optional.of(52.0)))))));
        return house;
    }

    /**
     * 53 Hz with nothing drawn is above the 52 Hz that the inverter takes: never taken, and told. From 52 to 48 Hz at its 4000 W it runs
     * with 3000 W at 52 − 4 × 3/4 = 49 Hz, below 49.5 Hz: taken and let go by turns.
     */
    @Test
    public void aGeneratorOffItsFrequencyIsNotTaken() {
        House fast = onGenerator(53, 50);
        RunResult refused = fast.run(HOUR);
        assertEquals(changes(refused, Change.TRANSFERRED), List.of());
        assertEquals(changes(refused, Change.AC_REFUSED_HERTZ).size(), 1, "told once");
        assertEquals(
                changes(refused, Change.AC_REFUSED_HERTZ).get(0).facts().stream()
                        .filter(fact -> fact.change() == Change.AC_REFUSED_HERTZ)
                        .flatMap(fact -> fact.numbers().stream())
                        .map(number -> number.name() + " " + number.value() + " " + number.unit())
                        .toList(),
                List.of("limit 52.0 HERTZ", "read 53.0 HERTZ"));
        assertTrue(Checks.of(fast.plan(), Map.of(), refused).stream()
                .anyMatch(one -> one.check().equals("SourceRefused")));
        House soft = onGenerator(52, 48);
        RunResult byTurns = soft.run(60);
        assertEquals(
                changes(byTurns, Change.AC_UNFIT_HERTZ).stream()
                        .map(Event::seconds)
                        .toList(),
                List.of(24.0, 38.0, 52.0));
        assertTrue(Checks.of(soft.plan(), Map.of(), byTurns).stream()
                .anyMatch(one -> one.check().equals("WeakSource")));
        assertEquals(changes(onGenerator(51, 50).run(60), Change.TRANSFERRED).size(), 1);
    }

    /**
     * Beside its voltages the inverter warns at 58 % and stops at 55 %, and its load is dead from then on; the voltages, far below, are
     * never reached.
     */
    @Test
    public void theInverterWarnsAndStopsByCharge() {
        AcProgram program = program(SourcePriority.NEVER_AC, ChargePriority.SUN_ONLY)
                .withCutOff(Optional.of(new AcProgram.CutOffLevels(0.58, 0.55, 0.65)));
        RunResult result = house(1000, false, program).run(12 * HOUR);
        assertEquals(changes(result, Change.ALARM_SOC).get(0).stateOfCharge(), 0.58, 1e-6);
        Event stops = changes(result, Change.INVERTER_LOW_SOC).get(0);
        assertEquals(stops.stateOfCharge(), 0.55, 1e-6);
        assertEquals(changes(result, Change.INVERTER_LOW).size(), 0);
        assertEquals(changes(result, Change.INVERTER_LOW_SOC_OVER).size(), 0, "nothing charges it above 65 %");
        double unserved = result.ledger().unservedJoules().get("house");
        assertEquals(unserved, 1000 * (12 * HOUR - stops.seconds()), 1);
    }

    /** The contact at the charger's own permission stops charging and nothing else. */
    @Test
    public void aContactAtTheChargersPermissionLeavesTheLoadsFed() {
        House house = house(300, false, program(SourcePriority.AC_FIRST, ChargePriority.BOTH));
        house.output("inhibit", null, null, "inverter")
                .last(one -> one.withMode(Mode.OFF).withSide(Optional.of(Output.Side.CHARGE)));
        RunResult result = house.run(HOUR);
        assertEquals(result.ledger().importJoules(), 320 * (HOUR - 12), 1);
        assertEquals(result.ledger().unservedJoules().get("house"), 0.0);
    }

    private static void meter(House house, double takesBack, ExportMeter meter) {
        house.acSources.set(
                0,
                new AcSource.Feeder("feeder", "feeder", 32, 1, 0, 1, takesBack, List.of())
                        .withMeter(Optional.ofNullable(meter)));
    }

    /**
     * What goes out is held at the lower of 500 W and a tenth of the inverter's 3000 W; with the meter the wrong way round nothing holds
     * it but the feeder, which takes 2000 W.
     */
    @Test
    public void aLimitIsKeptByAMeterTheRightWayRound() {
        AcWindow out =
                new AcWindow(AcWindow.Kind.DISCHARGE, DailySpan.daily(0, 24), 0.2, Optional.empty(), Optional.of(true));
        AcProgram program =
                program(SourcePriority.AC_FIRST, ChargePriority.SUN_ONLY, out).withExportLimitWatts(Optional.of(500.0));
        double[] expected = {500, 300, 2000};
        for (int i = 0; i < expected.length; i++) {
            House house = house(300, true, i == 0 ? program : program.withExportLimitFraction(Optional.of(0.1)));
            meter(house, 2000, new ExportMeter(i == 2, false));
            assertEquals(house.run(HOUR).ledger().exportJoules(), expected[i] * (HOUR - 12), 1, "case " + i);
        }
    }

    /** Nothing is to go out: kept, and the array on the AC side curtailed, where its meter sees it; past it goes all that is too much. */
    @Test
    public void whatAMeterDoesNotSeeGoesOutPastIt() {
        for (boolean sees : new boolean[] {true, false}) {
            House house = house(100, true, program(SourcePriority.AC_FIRST, ChargePriority.SUN_ONLY));
            house.weather = Optional.of(DayType.CLEAR);
            house.arrays.add(new SolarArray("roof", "roof", 4000, 30, 180, -0.004, 45, 0));
            house.acArrays.add(new AcCoupledArray("roof", "inverter", 4000, 0.96));
            house.output("inhibit", null, null, "inverter")
                    .last(one -> one.withMode(Mode.OFF).withSide(Optional.of(Output.Side.CHARGE)));
            meter(house, 5000, new ExportMeter(false, !sees));
            Ledger ledger = house.run(DAY).ledger();
            assertEquals(ledger.exportJoules() > 3.6e6, !sees, ledger.exportJoules() + " J out");
            assertEquals(ledger.curtailedJoules() > 3.6e6, sees, ledger.curtailedJoules() + " J curtailed");
            assertEquals(
                    Checks.of(house.plan(), Map.of()).stream()
                            .anyMatch(one -> one.check().equals("ExportUnseen")),
                    !sees);
        }
    }

    /** A second meter at the array makes up for one that does not see it; the wrong way round it makes it worse. */
    @Test
    public void aSecondMeterSeesTheArray() {
        double[] out = new double[3];
        Optional<?>[] own = {
            Optional.empty(), Optional.of(new ArrayMeter(false)), Optional.of(new ArrayMeter(true)),
        };
        String[] found = new String[3];
        for (int i = 0; i < out.length; i++) {
            House house = house(100, true, program(SourcePriority.AC_FIRST, ChargePriority.SUN_ONLY));
            house.weather = Optional.of(DayType.CLEAR);
            house.arrays.add(new SolarArray("roof", "roof", 4000, 30, 180, -0.004, 45, 0));
            house.acArrays.add(new AcCoupledArray("roof", "inverter", 4000, 0.96, own[i].map(ArrayMeter.class::cast)));
            house.output("inhibit", null, null, "inverter")
                    .last(one -> one.withMode(Mode.OFF).withSide(Optional.of(Output.Side.CHARGE)));
            meter(house, 5000, new ExportMeter(false, true));
            out[i] = house.run(DAY).ledger().exportJoules();
            found[i] = Checks.of(house.plan(), Map.of()).stream()
                    .filter(one -> one.check().equals("ExportUnseen"))
                    .map(one -> one.severity().name())
                    .findFirst()
                    .orElse("");
        }
        assertEquals(out[1], 0.0, "nothing is to go out, and nothing does");
        assertTrue(out[0] > 3.6e6 && out[2] > 3.6e6, out[0] + " and " + out[2] + " J out");
        assertEquals(List.of(found), List.of("CAUTION", "", "DANGER"));
    }

    /**
     * 700 W before the inverter and 500 W behind it, nothing is to go out. From the battery come 500 W and, where the meter sees the
     * loads before, 700 W more: bought are these only for the 12 s until AC is good. A meter past them has all of it bought, and so has
     * an inverter that never takes AC.
     */
    @Test
    public void loadsBeforeTheInverterAreFedPastItWhereTheMeterSeesThem() {
        AcWindow gives = new AcWindow(
                AcWindow.Kind.DISCHARGE, DailySpan.daily(0, 24), 0.2, Optional.of(1500.0), Optional.of(true));
        AcProgram program =
                program(SourcePriority.AC_FIRST, ChargePriority.SUN_ONLY, gives).withExportLimitWatts(Optional.of(0.0));
        ExportMeter sees = new ExportMeter(false, false);
        ExportMeter past = new ExportMeter(false, false, Optional.of(true));
        double[] bought = new double[3];
        for (int i = 0; i < bought.length; i++) {
            House house = house(500, true, i == 2 ? program(SourcePriority.NEVER_AC, ChargePriority.BOTH) : program)
                    .load("yard", "feeder", new Consumption.ConstantPower(700));
            meter(house, 5000, i == 1 ? past : sees);
            Ledger ledger = house.run(HOUR).ledger();
            bought[i] = ledger.importJoules();
            assertEquals(ledger.exportJoules(), 0, 1e-6);
            assertEquals(ledger.servedJoules().get("yard"), 700 * HOUR, 1);
            assertEquals(
                    Checks.of(house.plan(), Map.of()).stream()
                            .anyMatch(one -> one.check().equals("ExportUnseen")),
                    i == 1);
        }
        assertEquals(bought[0], 700 * 12, 1);
        assertEquals(bought[1], 700 * HOUR, 1);
        assertEquals(bought[2], 700 * HOUR, 1);
    }

    /** What hangs on a generator before the inverter lives while that runs: from its call and 10 s to start, at 20 min, to its end at 40 min. */
    @Test
    public void whatIsBeforeAGeneratorLivesWhileItRuns() {
        House house = house(100, false, program(SourcePriority.NEVER_AC, ChargePriority.SUN_ONLY))
                .load("pump", "generator", new Consumption.ConstantPower(1000));
        house.acSources.set(
                0,
                new AcSource.Generator(
                        "generator", "generator", 4000, 1, 10, 0.1, 0, 0, 30, 3, 0.4, 0.35, Optional.empty()));
        house.output("call", new RemoteRequest("start", 7200), null, "generator");
        house.requests = List.of(new Request("start", 1200, 2400));
        RunResult result = house.run(HOUR);
        assertEquals(result.ledger().servedJoules().get("pump"), 1000 * 1190, 1);
        assertEquals(result.ledger().unservedJoules().get("pump"), 1000 * (HOUR - 1190), 1);
        assertEquals(result.ledger().generatorJoules(), 1000 * 1190, 1);
        // 0.4 l an hour and 0.35 l for each of 0.331 kWh.
        assertEquals(result.generators().get(0).litres(), (0.4 + 0.35) * 1190 / HOUR, 0.01);
    }

    /**
     * A weak line: 230 V with nothing drawn and 2 Ω. With 3 kW it is (230 + √(230² − 4 × 2 × 3000)) / 2 = 200 V, below the 205 V that the
     * inverter takes: after 2 s it goes back, qualifies the good voltage again for 12 s, and so on.
     */
    @Test
    public void aWeakLineIsTakenAndLetGoByTurns() {
        House house = house(2980, false, program(SourcePriority.AC_FIRST, ChargePriority.SUN_ONLY));
        house.acSources.set(
                0,
                new AcSource.Feeder(
                        "feeder",
                        "feeder",
                        32,
                        1,
                        0,
                        1,
                        0,
                        List.of(),
                        Optional.of(230.0),
                        Optional.of(2.0),
                        Optional.empty(),
                        Optional.empty()));
        assertEquals(house.acSources.get(0).legVoltsUnder(3000, 230), 200, 1e-9);
        house.inverter = house.inverter.map(one -> one.withTransfer(Optional.of(new Inverter.Transfer(
                30, 12, true, Optional.empty(), Optional.of(new Inverter.Accepts(205, 253, 2))))));
        RunResult result = house.run(60);
        assertEquals(
                changes(result, Change.AC_UNFIT).stream().map(Event::seconds).toList(),
                List.of(14.0, 28.0, 42.0, 56.0));
        assertEquals(
                changes(result, Change.AC_UNFIT).get(0).facts().get(0).numbers().stream()
                        .map(Fact.Quantity::value)
                        .map(Math::round)
                        .toList(),
                List.of(205L, 200L),
                "its bound, and what it is under the load");
        assertTrue(Checks.of(house.plan(), Map.of(), result).stream()
                .anyMatch(one -> one.check().equals("WeakSource")
                        && one.compared().get(0).value() == 4));
    }

    /** Beyond its surge the inverter trips, or puts the loads on AC for three minutes where that is set and AC is there. */
    @Test
    public void anOverloadGoesToAcWhereThatIsSet() {
        AcProgram program = program(SourcePriority.BATTERY_FIRST, ChargePriority.SUN_ONLY);
        for (boolean bypasses : new boolean[] {false, true}) {
            House house = house(100, false, program.withBypassesOverload(Optional.of(bypasses)));
            house.pulses("saw", "inverter", 0, 0, 60, 3400, 70, 0);
            RunResult result = house.run(HOUR);
            assertEquals(changes(result, Change.OVERLOAD_BYPASSED).size(), bypasses ? 1 : 0);
            assertEquals(changes(result, Change.INVERTER_OVERLOAD).size(), bypasses ? 0 : 1);
            if (bypasses) {
                assertEquals(changes(result, Change.TRANSFERRED).get(0).seconds(), 65, 1e-6);
                assertEquals(changes(result, Change.TRANSFERRED_BACK).get(0).seconds(), 245, 1e-6);
            }
        }
    }

    /** Where AC is never taken, an overload that is let through to it does not charge from it either: 3400 W and the idle draw for 3 min. */
    @Test
    public void aBypassFeedsAndDoesNotCharge() {
        AcProgram program = program(SourcePriority.NEVER_AC, ChargePriority.BOTH)
                .withInputLimitAmperes(30)
                .withBypassesOverload(Optional.of(true));
        House house = house(0, false, program);
        house.acSources.set(0, new AcSource.Feeder("feeder", "feeder", 32, 1, 0, 1, 0, List.of()));
        house.pulses("saw", "inverter", 0, 0, 60, 3400, 400, 0);
        double import3 = house.run(240).ledger().importJoules();
        assertEquals(import3, 3420 * (240 - 65), 1);
    }

    /** The truth tables, as they are shown: what gear that blends and gear that only switches makes of each order. */
    @Test
    public void theTableSaysWhatTheGearMakesOfIt() {
        AcProgram sunFirst = program(SourcePriority.SUN_FIRST, ChargePriority.SUN_FIRST);
        assertEquals(feeds(sunFirst, true), "SUN SUN_AND_AC SUN SUN_AND_AC");
        assertEquals(feeds(sunFirst, false), "SUN AC SUN AC");
        assertEquals(feeds(program(SourcePriority.AC_FIRST, ChargePriority.BOTH), false), "AC AC AC AC");
        assertEquals(feeds(program(SourcePriority.BATTERY_FIRST, ChargePriority.BOTH), false), "BATTERY BATTERY AC AC");
        assertTrue(program(SourcePriority.NEVER_AC, ChargePriority.BOTH).cases(true).stream()
                .noneMatch(AcProgram.Case::acCharges));
    }

    private static String feeds(AcProgram program, boolean blends) {
        return String.join(
                " ",
                program.cases(blends).stream().map(one -> one.feeds().name()).toList());
    }
}
