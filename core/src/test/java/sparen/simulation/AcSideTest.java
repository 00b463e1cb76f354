package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.ChargeProgram;
import sparen.program.rule.VoltageDisconnect;
import sparen.quantity.InvalidQuantity;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.FeederFigures;
import sparen.result.GeneratorFigures;
import sparen.result.Ledger;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.site.AcSource;
import sparen.site.AcSource.PriceBand;
import sparen.site.Consumption;
import sparen.site.DailySpan;
import sparen.site.Inverter;

/** The AC side in time. Levels and times of the trade: common practice, no source; powers and energies: plain arithmetic. */
public class AcSideTest {
    private static final double HOUR = 3600;

    private static AcSource.Feeder feeder(double amperes, List<PriceBand> bands) {
        return new AcSource.Feeder("feeder", "feeder", amperes, 1, 0, 1, 0, bands);
    }

    private static AcSource.Generator generator(double failures, int tries) {
        return new AcSource.Generator(
                "gen", "generator", 4000, 1, 10, 0.3, 120, failures, 45, tries, 0.5, 0.3, Optional.empty());
    }

    private static AcProgram program(double amperes, AcProgram.SourcePriority source, List<AcWindow> windows) {
        return new AcProgram(amperes, source, AcProgram.ChargePriority.BOTH, 50.5, 52, 60, windows, false);
    }

    /** Idle, proportional and quadratic loss, by the formula of the record. */
    @Test
    public void drawsByItsLosses() {
        House house = new House().withInverter(3000).load("heater", "inverter", new Consumption.ConstantPower(1500));
        Ledger ledger = house.run(HOUR).ledger();
        double losses = 1500 * 0.04 + 0.03 * 1500 * 1500 / 3000;
        assertEquals(ledger.servedJoules().get("heater"), 1500 * HOUR, 1e-3);
        assertEquals(ledger.idleJoules(), 20 * HOUR, 1e-3);
        assertEquals(ledger.conversionLossJoules(), losses * HOUR, 1e-3);
    }

    /**
     * Three of 1 kW on three phases carry 3 kW together, 60 W idle, but a leg no more than one of them: 900 W on each of two legs are
     * borne, 1200 W on one leg are 120 % and trip after the 5 s of surge.
     */
    @Test
    public void eachLegCarriesWhatItsOwnUnitDoes() {
        House even = threeOnThree().load("a", "inverter", new Consumption.ConstantPower(900));
        even.load("b", "inverter", new Consumption.ConstantPower(900));
        even.loads.set(1, even.loads.get(1).withLeg(Optional.of(2)));
        RunResult borne = even.run(HOUR);
        assertEquals(House.of(borne, Event.Kind.AC), List.of());
        assertEquals(borne.ledger().idleJoules(), 60 * HOUR, 1e-3);
        assertEquals(borne.ledger().conversionLossJoules(), (1800 * 0.04 + 0.03 * 1800 * 1800 / 3000) * HOUR, 1e-3);

        House uneven = threeOnThree().load("a", "inverter", new Consumption.ConstantPower(1200));
        Event trip = House.of(uneven.run(60), Event.Kind.AC).get(0);
        assertEquals(trip.seconds(), 5, 1e-6);
        assertEquals(trip.facts().get(0).change(), Change.INVERTER_OVERLOAD);
        assertEquals(trip.facts().get(0).numbers().get(0).value(), 120, 1e-9, "%");
        InvalidQuantity refused = expectThrows(
                InvalidQuantity.class,
                () -> threeOnThree().inverter.orElseThrow().withUnits(Optional.of(4)));
        assertTrue(refused.getMessage().contains("multiple of 3"), refused.getMessage());
        InvalidQuantity tooMuch = expectThrows(
                InvalidQuantity.class,
                () -> threeOnThree().inverter.orElseThrow().withIdleWatts(200.0));
        assertEquals(tooMuch.getMessage(), "idleWatts: 3 times 200 W is 600 W, above 500 W for all together");
    }

    private static House threeOnThree() {
        House house = new House().withInverter(1000);
        house.inverter = house.inverter.map(
                one -> one.withPhases(Optional.of(Inverter.Phases.THREE_PHASES)).withUnits(Optional.of(3)));
        return house;
    }

    /** A 3 s pulse inside a minute: within the surge time it is borne, with 6 s it is not, and above the surge it trips at once. */
    @Test
    public void aShortPulseTripsWhatItWouldTrip() {
        assertTrue(trips(17, 20, 5000).isEmpty(), "3 s at 167 % are borne for 5 s");
        assertEquals(trips(17, 23, 5000).get(0).seconds(), 22, 1e-6, "6 s are not");
        assertEquals(trips(17, 17.4, 6500).get(0).seconds(), 17, 1e-6, "217 % trip at once");
    }

    private static List<Event> trips(double from, double to, double watts) {
        House house = new House().withInverter(3000).pulses("saw", "inverter", 0, 0, from, watts, to, 0);
        return House.of(house.run(120), Event.Kind.AC);
    }

    /** After an overload it tries again in three minutes, five times, and then stays off. */
    @Test
    public void givesUpAfterFiveTries() {
        House house = new House().withInverter(3000).load("mill", "inverter", new Consumption.ConstantPower(4000));
        RunResult result = house.run(2 * HOUR);
        List<Event> events = House.of(result, Event.Kind.AC);
        List<Event> offs =
                events.stream().filter(e -> e.reason().contains("overload,")).toList();
        assertEquals(offs.size(), 6, events.toString());
        for (int i = 0; i < 6; i++) {
            assertEquals(offs.get(i).seconds(), 5 + i * 185.0, 1e-6, "5 s of surge and 180 s of rest by turns");
        }
        assertTrue(offs.get(5).reason().contains("given up"), offs.get(5).reason());
        assertEquals(result.loads().get(0).servedSeconds(), 30, 1e-6);
        assertEquals(result.ledger().unservedJoules().get("mill"), 4000 * (2 * HOUR - 30), 1);
    }

    /** AC is taken after it has been good for 12 s; the input limit feeds loads first and the charger backs off. */
    @Test
    public void theChargerTakesWhatTheLoadsLeaveOfTheInputLimit() {
        House house = new House().withInverter(3000).load("house", "inverter", new Consumption.ConstantPower(800));
        house.acSources.add(feeder(16, List.of()));
        house.ac = program(10, AcProgram.SourcePriority.AC_FIRST, List.of());
        RunResult result = house.run(HOUR);
        List<Event> events = House.of(result, Event.Kind.AC);
        assertEquals(events.get(0).seconds(), 12, 1e-6, events.toString());
        Ledger ledger = result.ledger();
        assertEquals(ledger.importJoules(), 2300 * (HOUR - 12), 1, "10 A at 230 V");
        double charged = (2300 - 800 - 20) * 0.9 * (HOUR - 12);
        double found = ledger.flows().joules(Ledger.Flows.Source.FEEDER, Ledger.Flows.Use.CHARGING);
        assertEquals(found / charged, 1, 1e-3, "but for the cable");
    }

    /** Loads beyond the limit: the battery helps; without help the source's breaker trips after its time. */
    @Test
    public void assistsOrTheBreakerTrips() {
        House house = new House().withInverter(3000);
        house.acSources.add(feeder(10, List.of()));
        house.pulses("house", "inverter", 0, 0, 60, 400);
        house.pulses("oven", "inverter", 0, 0, 60, 3000);
        RunResult helped = house.run(HOUR);
        assertEquals(helped.ledger().importJoules(), 2300 * (HOUR - 12), 1, "10 A, to the charger and then to loads");
        double assist = helped.ledger().flows().joules(Ledger.Flows.Source.BATTERY, Ledger.Flows.Use.LOADS);
        assertTrue(
                assist > 1100 * (HOUR - 60) && assist < 1300 * HOUR, "1100 W and losses out of the battery: " + assist);

        house.inverter = Optional.of(withoutAssist());
        List<Event> events = House.of(house.run(HOUR), Event.Kind.AC);
        Event trip = events.stream()
                .filter(e -> e.reason().contains("breaker"))
                .findFirst()
                .orElseThrow();
        assertEquals(trip.seconds(), 90, 1e-6, events.toString());
    }

    private static Inverter withoutAssist() {
        Inverter plain = House.inverter(6000, Optional.empty());
        return new Inverter(
                "inverter",
                "inverter",
                230,
                6000,
                7200,
                2,
                5,
                60,
                0,
                20,
                0.04,
                0.03,
                Optional.empty(),
                plain.window(),
                plain.cable(),
                plain.charger(),
                Optional.of(new Inverter.Transfer(30, 12, false)),
                Optional.empty(),
                Optional.empty());
    }

    /**
     * A tripped breaker is reset at eight in the morning by the wall clock: 24 h after the last time, 23 h where the clocks went forward
     * in between, 25 h where they went back. European Union, directive 2000/84/EC: the last Sundays of March and October.
     */
    @Test
    public void theBreakerIsResetByTheWallClock() {
        House house = new House().withInverter(3000);
        house.acSources.add(feeder(10, List.of()));
        house.inverter = Optional.of(withoutAssist());
        house.pulses("oven", "inverter", 0, 3400);
        for (String[] change : new String[][] {{"2026-03-27T23:00:00Z", "23"}, {"2026-10-23T22:00:00Z", "25"}}) {
            Scenario plain = house.scenario(4 * 24 * HOUR);
            Scenario scenario = new Scenario(
                    plain.plan(),
                    Instant.parse(change[0]),
                    plain.durationSeconds(),
                    plain.weather(),
                    plain.profiles(),
                    1,
                    List.of());
            List<Double> trips = House.of(Simulation.run(scenario, new Window(0, 1, 1)), Event.Kind.AC).stream()
                    .filter(event -> event.reason().contains("breaker"))
                    .map(Event::seconds)
                    .toList();
            List<Double> hours = new ArrayList<>();
            for (int i = 2; i < trips.size(); i++) {
                hours.add((trips.get(i) - trips.get(i - 1)) / HOUR);
            }
            assertEquals(hours.get(0), Double.parseDouble(change[1]), 1e-9, trips.toString());
            assertEquals(hours.get(1), 24.0, 1e-9);
        }
    }

    /** Small loads are not noticed while it searches; a load above the threshold wakes it at the next look. */
    @Test
    public void searchSavesTheIdleDrawAndMissesSmallLoads() {
        House house = new House();
        house.inverter = Optional.of(House.inverter(3000, Optional.of(new Inverter.Search(3, 40, 2))));
        house.charging = List.of(new ChargeProgram("inverter", 57, 3600, 55, 51, 60));
        house.pulses("clock", "inverter", 0, 15);
        house.pulses("pump", "inverter", 0, 0, 1001, 200, 1300, 0);
        RunResult result = house.run(2000);
        double awake = 300 + 1;
        assertEquals(
                result.ledger().servedJoules().get("clock"), 15 * awake, 15 * 5.0, "only while something larger runs");
        assertEquals(result.ledger().idleJoules(), 3 * (2000 - awake) + 20 * awake, 100);
        List<Event> events = House.of(result, Event.Kind.AC);
        assertTrue(
                events.stream().anyMatch(e -> e.reason().startsWith("wakes") && e.seconds() == 1002),
                events.toString());
    }

    /** Its own low-voltage shutdown after its delay, and restart at its level. Thresholds crossed by a falling battery. */
    @Test
    public void stopsOnLowVoltageAfterItsDelay() {
        House house = new House().withInverter(3000).load("house", "inverter", new Consumption.ConstantPower(1000));
        house.curve = List.of(40.0, 56.0);
        house.ampereHours = 40;
        house.startCharge = 0.5;
        house.source(0, 0, 7200, 0, 7201, 40);
        RunResult result = house.run(5 * HOUR);
        List<Event> events = House.of(result, Event.Kind.AC);
        assertTrue(events.get(0).reason().startsWith("low-voltage alarm"), events.toString());
        assertTrue(events.get(1).reason().startsWith("stops on low voltage"), events.toString());
        Event again = events.stream()
                .filter(e -> e.reason().contains("starts again"))
                .findFirst()
                .orElseThrow();
        assertTrue(again.seconds() > 7201, again.toString());
    }

    /** A start that fails is tried again after its rest, and given up after the last try. */
    @Test
    public void aGeneratorTriesAndGivesUp() {
        House house = new House().withInverter(3000).output("call", null, null, "gen");
        house.acSources.add(generator(1, 3));
        List<String> states = House.of(house.run(HOUR), Event.Kind.GENERATOR).stream()
                .map(Event::reason)
                .toList();
        assertEquals(states, List.of("starting", "waiting", "starting", "waiting", "starting", "failed"));
    }

    /** Fuel: idle litres an hour and litres a kilowatt-hour; it charges at what its rating leaves. */
    @Test
    public void aGeneratorChargesAndBurnsByItsCurve() {
        House house = new House().withInverter(3000).output("call", null, null, "gen");
        house.acSources.add(generator(0, 3));
        RunResult result = house.run(2 * HOUR);
        GeneratorFigures figures = result.generators().get(0);
        double running = 2 * HOUR - 10;
        assertEquals(figures.runSeconds(), running, 1e-6);
        double kilowattHours = result.ledger().generatorJoules() / 3.6e6;
        assertEquals(figures.litres(), 0.5 * running / 3600 + 0.3 * kilowattHours, 1e-9);
        assertTrue(kilowattHours > 4, "50 A at some 54 V through 90 % are 3 kW: " + kilowattHours);
        assertEquals(figures.starts(), 1);
    }

    /** Battery first: to AC below its level for the delay, back above the other. */
    @Test
    public void theBatteryFeedsUntilItsLevel() {
        House house = new House().withInverter(3000).load("house", "inverter", new Consumption.ConstantPower(2000));
        house.acSources.add(feeder(16, List.of()));
        house.ac = program(16, AcProgram.SourcePriority.BATTERY_FIRST, List.of());
        house.ampereHours = 100;
        house.startCharge = 0.4;
        RunResult result = house.run(6 * HOUR);
        List<Event> events = House.of(result, Event.Kind.AC);
        Fact toAc = events.get(0).facts().get(0);
        assertEquals(toAc.change(), Change.TO_AC);
        assertEquals(
                toAc.numbers().stream().map(Fact.Quantity::value).toList(), List.of(50.5, 60.0), "its level and delay");
        assertTrue(events.stream().anyMatch(e -> e.has(Change.TO_BATTERY)), events.toString());
        assertEquals(result.ledger().unservedJoules().get("house"), 0.0);
    }

    /** In a charge window AC charges up to its state of charge; prices by the clock. */
    @Test
    public void aChargeWindowFillsAtItsPrice() {
        List<PriceBand> bands =
                List.of(new PriceBand(DailySpan.daily(2, 4), 1, 0), new PriceBand(DailySpan.daily(4, 2), 3, 0));
        House house = new House().withInverter(3000);
        house.acSources.add(feeder(16, bands));
        AcWindow night = new AcWindow(AcWindow.Kind.CHARGE, DailySpan.daily(2, 4), 0.65);
        AcWindow day = new AcWindow(AcWindow.Kind.HOLD, DailySpan.daily(4, 2), 0);
        house.ac = program(16, AcProgram.SourcePriority.AC_FIRST, List.of(night, day));
        RunResult result = house.run(6 * HOUR);
        assertEquals(result.endStateOfCharge(), 0.65, 1e-3, "from 0.60, full at 0.65");
        double idle = 20.0;
        // Local time is an hour ahead: the run begins at one o'clock, the window is its second and third hour.
        double charged = result.ledger().importJoules() - idle * (6 * HOUR - 12);
        double expected = (charged / 3.6e6) * 1 + idle / 3.6e6 * (2 * HOUR * 1 + (4 * HOUR - 12) * 3);
        assertEquals(result.ledger().cost(), expected, 1e-6);
        FeederFigures feeder = result.feeders().get(0);
        FeederFigures.BandFigures dear = feeder.bands().get(1);
        assertEquals(dear.hours(), "04:00 to 02:00");
        assertEquals(dear.importKilowattHours(), idle * (4 * HOUR - 12) / 3.6e6, 1e-9);
        assertEquals(dear.cost(), 3 * dear.importKilowattHours(), 1e-9);
        assertEquals(feeder.cost(), expected, 1e-6);
    }

    /** The contact that cuts the inverter's enable takes all its AC loads with it. */
    @Test
    public void whatHangsOnADeadInverterIsDead() {
        House house = new House().withInverter(3000).load("house", "inverter", new Consumption.ConstantPower(500));
        house.output("enable", null, new VoltageDisconnect("point", 52.5, 10, 55, 10), "inverter");
        RunResult result = house.run(HOUR);
        assertEquals(result.loads().get(0).servedSeconds(), 10, 1e-6);
        assertEquals(result.ledger().idleJoules(), 20 * 10.0, 1e-3, "and draws nothing itself");
    }
}
