package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.check.Checks;
import sparen.program.ChargeDetails;
import sparen.program.ChargeDetails.BmsRequests;
import sparen.program.ChargeDetails.BmsRequests.WhenTalkStops;
import sparen.program.ChargeProgram;
import sparen.program.rule.SurplusBySoc;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.Event.Kind;
import sparen.result.Fact;
import sparen.result.RunResult;
import sparen.site.AcSource;
import sparen.site.BatteryMonitor;
import sparen.site.Bms;
import sparen.site.Consumption;

/** Batteries side by side with their own BMS, and what a monitor makes of them. Facts of the trade: common practice, no source. */
public class BatteriesTest {
    private static final double HOUR = 3600;

    private static House two(double dischargeAmperes, Optional<Double> wakeUpVolts, double cableOhms) {
        House house = new House();
        house.batteries.add(House.battery("a", 0.5, 0.001, House.bms(200, dischargeAmperes, wakeUpVolts)));
        house.batteries.add(House.battery("b", 0.5, cableOhms, House.bms(200, dischargeAmperes, wakeUpVolts)));
        return house;
    }

    /** Current divides by resistance: 8 mΩ and 1 mΩ against 8 mΩ and 19 mΩ are 3 to 1. Circuit law. */
    @Test
    public void currentDividesByResistance() {
        House house = two(1000, Optional.empty(), 0.019);
        house.load("heater", null, new Consumption.ConstantCurrent(40));
        RunResult result = house.run(60);
        // Per minute 30 A and 10 A: the shares of charge at the end differ as 3 to 1, and the bank's is their mean.
        assertEquals(result.endStateOfCharge(), 0.6 - 40 * 60 / 3600.0 / 400, 1e-9);
        double parallel = 1 / (1 / 0.009 + 1 / 0.027);
        assertEquals(result.endBatteryVolts(), 52.4 - 40 * parallel, 0.01);
    }

    /** Two alike are simulated as one of twice the size, and that changes nothing. */
    @Test
    public void aPairThatIsAlikeIsAsGoodAsOne() {
        House pair = two(1000, Optional.empty(), 0.001);
        House one = new House();
        one.batteries.add(House.battery("a", 1, 0.0005, House.bms(400, 2000, Optional.empty())));
        for (House house : List.of(pair, one)) {
            house.load("heater", null, new Consumption.ConstantPower(2000));
        }
        assertEquals(pair.run(HOUR).endStateOfCharge(), one.run(HOUR).endStateOfCharge(), 1e-12);
    }

    /** One opens on over-current and the other, left with all of it, follows: the cascade. */
    @Test
    public void oneOpensAndTheOtherIsOverloadedInTurn() {
        House house = two(60, Optional.empty(), 0.019);
        house.load("heater", null, new Consumption.ConstantCurrent(95));
        RunResult result = house.run(120);
        List<Event> paths = House.of(result, Kind.PATH);
        assertEquals(paths.get(0).subject(), "a", "the one with the shorter cable has 71 A of 95 A");
        assertEquals(paths.get(0).seconds(), 3, 1e-6);
        assertEquals(paths.get(1).subject(), "b");
        assertEquals(paths.get(1).seconds(), 6, 1e-6, "and then the other has them all for its 3 s");
        assertEquals(House.of(result, Kind.EMPTY).get(0).seconds(), 6, 1e-6, "every load is lost");
        // Each tries again a minute after its own opening; the first alone cannot carry the load.
        assertTrue(paths.size() >= 4 && paths.get(2).seconds() > 60, paths.toString());
    }

    /**
     * What opened is counted, not what closed while another path was open: charging at once, for the battery is too cold for it, then
     * discharging by over-current at 3 s. That closes again at 63 s, with the other path open still: two openings.
     */
    @Test
    public void openingsOfPathsAreCounted() {
        House house = new House();
        Bms cold = House.bms(1000, 60, Optional.empty()).withChargeColdCelsius(50.0);
        house.batteries.add(House.battery("a", 1, 0.001, cold));
        house.load("heater", null, new Consumption.ConstantCurrent(95));
        RunResult result = house.run(100);
        List<Event> paths = House.of(result, Kind.PATH);
        assertEquals(
                paths.stream().map(one -> one.facts().get(0).change()).toList(),
                List.of(Change.CHARGE_PATH_OPENED, Change.DISCHARGE_PATH_OPENED, Change.DISCHARGE_PATH_CLOSED),
                paths.toString());
        assertEquals(result.battery().pathOpenings(), 2);
        assertEquals(paths.get(0).batteryVolts(), 52.4 - 95 * (0.004 + 0.001), 0.01, "at the first instant too");
        Fact why = paths.get(1).facts().get(1);
        assertEquals(why.change(), Change.DISCHARGE_CURRENT);
        assertEquals(
                why.numbers().stream().map(one -> one.name() + " " + one.unit()).toList(),
                List.of("limit AMPERES", "read AMPERES"));
        assertEquals(why.numbers().get(0).value(), 60.0, "the limit it came by");
        assertEquals(why.numbers().get(1).value(), 95.0, 0.5, "the heater's current, and a little for the BMS");
    }

    /** Charge path open by high voltage: it can still be discharged, and closes below its release. */
    @Test
    public void anOpenChargePathStillGives() {
        House house = two(1000, Optional.empty(), 0.001);
        house.curve = List.of(50.0, 58.2);
        house.ampereHours = 100;
        house.startCharge = 0.9;
        house.source(0, 100, 600, 100, 601, 0);
        house.pulses("heater", null, 0, 0, 700, 6000);
        RunResult result = house.run(HOUR);
        List<Event> paths = House.of(result, Kind.PATH);
        assertTrue(paths.get(0).has(Change.CHARGE_PATH_OPENED), paths.toString());
        assertTrue(!paths.get(0).has(Change.DISCHARGE_PATH_OPENED), paths.toString());
        assertTrue(paths.get(1).has(Change.BATTERY_HIGH_OVER), paths.toString());
        assertEquals(result.ledger().unservedJoules().get("heater"), 0.0, "it gives all the while");
        Event hazard = House.of(result, Kind.HAZARD).get(0);
        assertEquals(hazard.seconds(), paths.get(0).seconds(), "opened under a live source without another battery");
    }

    /** An empty battery that sleeps stays asleep for ever when nothing shows it a voltage: the recovery deadlock. */
    @Test
    public void asleepUntilAChargerShowsItsVoltage() {
        House house = new House();
        house.curve = List.of(40.0, 56.0);
        house.ampereHours = 20;
        house.startCharge = 0.35;
        house.batteries.add(House.battery("a", 1, 0.001, House.bms(200, 500, Optional.of(48.0))));
        house.load("heater", null, new Consumption.ConstantPower(400));
        house.source(0, 0, 7200, 0, 7201, 30);
        RunResult alone = house.run(5 * HOUR);
        assertTrue(
                House.of(alone, Kind.PATH).get(0).reason().contains("asleep"),
                alone.events().toString());
        assertEquals(House.of(alone, Kind.PATH).size(), 1, "a source of current shows nothing");
        house.withInverter(3000);
        house.acSources.add(new AcSource.Feeder("feeder", "feeder", 16, 1, 0, 1, 0, List.of()));
        RunResult woken = house.run(5 * HOUR);
        assertTrue(
                woken.events().stream().anyMatch(e -> e.reason().contains("woken"))
                        || House.of(woken, Kind.PATH).isEmpty(),
                woken.events().toString());
    }

    /** Requests: the lower of setting and request wins; when talk stops, hold, own settings or stop, after the charger's patience. */
    @Test
    public void followsRequestsAndKnowsWhatToDoInSilence() {
        assertEquals(chargedInSilence(WhenTalkStops.HOLD), 40.0, 0.01);
        assertEquals(chargedInSilence(WhenTalkStops.OWN_SETTINGS), 50.0, 0.01);
        assertEquals(chargedInSilence(WhenTalkStops.STOP), 0.0, 0.01);
    }

    /** Mean charge current (A) from a minute after the charger has noticed the silence. */
    private static double chargedInSilence(WhenTalkStops policy) {
        House house = talking(policy, House.bms(200, 500, Optional.empty()));
        house.acSources.add(new AcSource.Feeder("feeder", "feeder", 16, 1, 0, 1, 0, List.of()));
        double before = house.run(600).endStateOfCharge();
        house.talkLosses = List.of(new TalkLoss(580, 1e6));
        double after = house.run(660).endStateOfCharge();
        assertEquals((before - 0.6) * 400 * 3600, 40 * (600 - 12.0), 6, "40 A asked for, of the 50 A it could give");
        return (after - before) * 400 * 3600 / 60;
    }

    /** An inverter whose charger goes by what one battery asks for. */
    private static House talking(WhenTalkStops policy, Bms bms) {
        House house = new House().withInverter(3000);
        house.batteries.add(House.battery("a", 1, 0.001, bms));
        ChargeDetails n = ChargeDetails.NONE;
        ChargeDetails details = new ChargeDetails(
                n.maximumAmperes(),
                n.absorptionEnd(),
                n.equalization(),
                n.compensation(),
                n.temperatureLimits(),
                n.overVoltage(),
                n.repeatAbsorption(),
                n.afterAbsorption(),
                n.startInFloatVolts(),
                n.longestCycleSeconds(),
                n.resumeVolts(),
                Optional.of(new BmsRequests(policy, 20)),
                Optional.empty());
        house.charging = List.of(new ChargeProgram("inverter", 57, 3600, 55, 51, 60, Optional.of(details)));
        return house;
    }

    /**
     * A battery that wants to be talked to within five minutes: with an inverter that does it goes on; five minutes after the line is cut
     * it opens both paths, and all goes dead. With nobody who talks it does so five minutes after the start.
     */
    @Test
    public void nobodyTalksToItAndItShutsDown() {
        Bms bms = House.bms(200, 500, Optional.of(50.0)).withKeepAliveSeconds(Optional.of(300.0));
        House house = talking(WhenTalkStops.OWN_SETTINGS, bms);
        assertEquals(unheard(house.run(HOUR)), List.of());
        house.talkLosses = List.of(new TalkLoss(580, 1e6));
        RunResult cut = house.run(HOUR);
        assertEquals(unheard(cut), List.of(880.0));
        assertTrue(House.of(cut, Kind.EMPTY).get(0).has(Change.BUS_LOST), "all goes dead");
        house.talkLosses = List.of();
        house.charging = List.of(new ChargeProgram("inverter", 57, 3600, 55, 51, 60, Optional.empty()));
        assertEquals(unheard(house.run(HOUR)), List.of(300.0));
        assertTrue(Checks.of(house.plan(), Map.of()).stream()
                .anyMatch(one -> one.check().equals("NobodyTalks")));
    }

    private static List<Double> unheard(RunResult result) {
        return House.of(result, Kind.PATH).stream()
                .filter(one -> one.has(Change.NOT_TALKED_TO))
                .map(Event::seconds)
                .toList();
    }

    /** Whole-percent reporting: "at or above 95" acts when 94.5 % has been counted, at the next sample. */
    @Test
    public void actsOnWhatTheMonitorReports() {
        House house = new House();
        house.startCharge = 0.9;
        house.source(0, 21);
        house.monitors.add(new BatteryMonitor("m", "the monitor", 400, 1, 0, 0, 1, 30, 100, 1, 60, List.of()));
        house.load("boiler", null, new Consumption.Resistance(1000));
        house.output("surplus", new SurplusBySoc("m", 95, 0, 90, 0), null, "boiler");
        Event closed = House.of(house.run(2 * HOUR), Kind.CLOSED).get(0);
        double counted = 0.045 * 400 * 3600 / 21;
        assertEquals(closed.seconds(), Math.ceil(counted / 30) * 30, 1e-6, "counted at " + counted);
    }

    /** 10 A for 2 h are 20 Ah of 400, 5 %: reported in whole percents or in tenths, with nobody waiting for either, it costs the same. */
    @Test
    public void percentsThatNobodyWaitsForEndNoStep() {
        long[] steps = new long[2];
        for (int i = 0; i < 2; i++) {
            House house = new House();
            house.startCharge = 0.5;
            house.source(0, 10);
            double step = i == 0 ? 1 : 0.1;
            house.monitors.add(new BatteryMonitor("m", "the monitor", 400, 1, 0, 0, step, 30, 100, 1, 60, List.of()));
            RunResult result = house.run(2 * HOUR);
            assertEquals(result.battery().reportedAtEnd().orElseThrow(), 0.55, 1e-9);
            steps[i] = result.steps();
        }
        assertEquals(steps[1], steps[0]);
    }

    /** What is wired past the shunt is not counted: half an ampere for a fortnight is 168 Ah that nobody saw. Plain arithmetic. */
    @Test
    public void doesNotSeeWhatPassesItsShunt() {
        House house = new House();
        house.startCharge = 1;
        house.monitors.add(new BatteryMonitor("m", "the monitor", 400, 1, 0, 0, 1, 30, 100, 1, 60, List.of("clock")));
        house.load("clock", null, new Consumption.ConstantCurrent(0.5));
        RunResult result = house.run(14 * 86_400);
        assertEquals(result.battery().reportedAtEnd().orElseThrow(), 1.0, 1e-9);
        assertEquals(result.endStateOfCharge(), 0.58, 1e-6);
    }
}
