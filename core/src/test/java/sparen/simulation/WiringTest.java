package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.format.Profile;
import sparen.program.Mode;
import sparen.program.rule.VoltageDisconnect;
import sparen.result.Event;
import sparen.result.Event.Kind;
import sparen.result.Ledger;
import sparen.result.RunResult;
import sparen.site.Cable;
import sparen.site.Consumption;
import sparen.site.Converter;
import sparen.site.DailySpan;
import sparen.site.DcSource;
import sparen.site.Fuse;
import sparen.site.Load;
import sparen.site.Room;
import sparen.site.WaterTank;
import sparen.site.WaterTank.DrawOff;

/** Secondary buses, fuses, tanks and the ways of loads, by circuit laws and plain arithmetic. */
public class WiringTest {
    private static final double HOUR = 3600;

    private static House withConverter(double maximumAmperes) {
        House house = new House();
        house.converters.add(new Converter("dc24", "converter", 24, maximumAmperes, 0.92, 3, 46, 49));
        return house;
    }

    /** Input is output over efficiency and idle; a cable on the held voltage takes R I² with I (V − R I) = P. */
    @Test
    public void aSecondaryBusTakesWhatItsLoadsAndCablesTake() {
        House house = withConverter(20);
        house.load("radio", "dc24", new Consumption.ConstantPower(60));
        Load thin = house.loads.get(0);
        house.loads.set(0, withCable(thin, Cable.measured(0.2)));
        Ledger ledger = house.run(HOUR).ledger();
        double amperes = (24 - Math.sqrt(24 * 24 - 4 * 0.2 * 60)) / (2 * 0.2);
        assertEquals(ledger.cableLossJoules(), 0.2 * amperes * amperes * HOUR, 1e-3);
        assertEquals(ledger.conversionLossJoules(), 24 * amperes * (1 / 0.92 - 1) * HOUR, 1e-3);
        assertEquals(ledger.idleJoules(), 3 * HOUR, 1e-6);
    }

    private static Load withCable(Load l, Cable cable) {
        return new Load(
                l.id(),
                l.name(),
                l.critical(),
                l.consumption(),
                cable,
                l.feed(),
                l.powerFactor(),
                l.surge(),
                l.restart(),
                l.use(),
                l.tank(),
                l.leg());
    }

    /** Beyond its current it goes dead and tries again after ten seconds; a surge of half a second is enough. */
    @Test
    public void aConverterGivesUpOnASurge() {
        House house = withConverter(10);
        house.load("radio", "dc24", new Consumption.ConstantPower(50));
        house.pulses("pump", "dc24", 0, 0, 100, 400, 100.5, 100);
        List<Event> events = House.of(house.run(300), Kind.CONVERTER);
        assertEquals(events.get(0).seconds(), 100, 1e-6, events.toString());
        assertEquals(events.get(1).seconds(), 110, 1e-6, events.toString());
    }

    /** A fuse bears 1.6 times its rating for an hour and ten times not at all (IEC 60269-1's conventional current, from memory). */
    @Test
    public void aFuseOpensByItsTime() {
        Cable fused = new Cable(
                Optional.of(0.0),
                Optional.empty(),
                Optional.empty(),
                Optional.of(20.0),
                Optional.of(new Fuse(10, 80, 1500)));
        for (double[] row : new double[][] {{15, Double.NaN}, {16.0001, 3600}, {32, 900}, {100, 0}}) {
            House house = new House();
            house.load("heater", null, new Consumption.ConstantCurrent(row[0]));
            house.loads.set(0, withCable(house.loads.get(0), fused));
            List<Event> events = House.of(house.run(2 * HOUR), Kind.FUSE);
            assertEquals(events.isEmpty(), Double.isNaN(row[1]), row[0] + " A");
            if (!events.isEmpty()) {
                assertEquals(events.get(0).seconds(), row[1], 0.1, row[0] + " A");
            }
        }
    }

    /** A tank heats by its energy, loses by its conductance, and its thermostat opens when it is hot: heat balance. */
    @Test
    public void aHotTankStopsTaking() {
        House house = new House();
        house.tanks.add(new WaterTank("boiler", "boiler", 100, 2, 60, 50, 10, 50, List.of(new DrawOff(2.5, 50))));
        Consumption element = new Consumption.ConstantPower(1500);
        house.loads.add(new Load(
                "element",
                "element",
                false,
                element,
                Cable.measured(0),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(Load.Use.DIVERSION),
                Optional.of("boiler"),
                Optional.empty()));
        RunResult result = house.run(3 * HOUR);
        double capacity = 100 * 4186;
        double settled = 20 + 1500 / 2.0;
        double heats = -capacity / 2 * Math.log((60 - settled) / (50 - settled));
        List<Event> events = House.of(result, Kind.TANK);
        assertEquals(events.get(0).seconds(), heats, 0.01);
        // Local time is an hour ahead: half of the tank goes at 1 h 30 min of the run, and what is left is at about 34
        // °C.
        assertEquals(events.get(1).seconds(), 1.5 * HOUR, 1e-3, events.toString());
        assertEquals(result.ledger().divertedJoules().get("element"), 1500 * (3 * HOUR - (1.5 * HOUR - heats)), 5);
        assertEquals(result.ledger().totalServedJoules(), 0.0, "diverted is not served");
        assertEquals(result.ledger().totalUnservedJoules(), 0.0, "and a hot tank is no loss");
    }

    /** Schedules go by the local clock, weekday and month; the autumn change makes that day's span an hour longer or not at all. */
    @Test
    public void schedulesGoByTheLocalClock() {
        House house = new House();
        DailySpan office = new DailySpan(8, 16.5, List.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY), List.of(3));
        DailySpan night = DailySpan.daily(22, 3);
        house.load("office", null, new Consumption.Scheduled(List.of(new Consumption.Entry(100, office))));
        house.load("lamp", null, new Consumption.Scheduled(List.of(new Consumption.Entry(10, night))));
        // 2 March 2026 is a Monday; a week from there has one Monday and one Tuesday.
        Ledger ledger = house.run(7 * 86_400).ledger();
        assertEquals(ledger.servedJoules().get("office"), 100 * 2 * 8.5 * HOUR, 1e-3);
        // From 1:00 local time on: the first night is two hours, six whole ones follow, the last two hours and an hour.
        assertEquals(ledger.servedJoules().get("lamp"), 10 * (2 + 6 * 5 + 3) * HOUR, 1e-3);
    }

    /** A load that needs a hand stays off after a loss until eight next morning; one that resumes comes back with its surge. */
    @Test
    public void restartsByItselfOrByHand() {
        House house = withConverter(10);
        house.load("lathe", "dc24", new Consumption.ConstantPower(100));
        Load l = house.loads.get(0);
        house.loads.set(
                0,
                new Load(
                        l.id(),
                        l.name(),
                        false,
                        l.consumption(),
                        l.cable(),
                        l.feed(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(Load.Restart.NEEDS_HAND),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()));
        house.pulses("pump", "dc24", 0, 0, 100, 400, 101, 0);
        RunResult result = house.run(12 * HOUR);
        // Lost at 100 s; eight o'clock is 7 h into the run.
        assertEquals(result.loads().get(0).servedSeconds(), 100 + 5 * HOUR, 1e-3);
    }

    /** Without regulation a generator of direct current is only stopped by its brake. */
    @Test
    public void aWaterWheelIsBrakedAtItsVoltage() {
        House house = new House();
        house.startCharge = 0.99;
        house.ampereHours = 20;
        house.profiles.put("wheel", new Profile(Optional.empty(), new double[] {0}, new double[] {500}, 86_400));
        house.dcSources.add(new DcSource("wheel", "wheel", "wheel", 54, 53.9));
        RunResult result = house.run(HOUR);
        // It reaches 54 V with 9.26 A over 4 mΩ at 53.963 V, and stays braked: at rest the battery is above the
        // release.
        double charged = (53.963 - 50) / 4 - 0.99;
        assertEquals(result.ledger().sourceJoules(), charged * 20 * 3600 * 54, 0.05 * charged * 20 * 3600 * 54);
    }

    /** An alternator by the clock gives 300 W in its two hours, and nothing while the contact at its enable is open. */
    @Test
    public void anAlternatorGivesInItsHoursWhereItIsEnabled() {
        for (boolean enabled : new boolean[] {true, false}) {
            House house = new House();
            // Local time is an hour ahead of the run's own: 02:00 to 04:00 there.
            DcSource.Steady hours = new DcSource.Steady(300, DailySpan.daily(3, 5));
            house.dcSources.add(new DcSource("alternator", "alternator", Optional.empty(), Optional.of(hours), 60, 58));
            house.output("enable", null, null, "alternator").last(one -> one.withMode(enabled ? Mode.ON : Mode.OFF));
            RunResult result = house.run(30 * HOUR);
            assertEquals(result.ledger().sourceJoules(), enabled ? (2 + 2) * 300 * HOUR : 0, 1);
        }
    }

    /** The device that decides hangs behind what it cuts: once open it is dead, and the contact stays in its dead state. */
    @Test
    public void aDeviceBehindItsOwnContactNeverReconnects() {
        House house = withConverter(20);
        house.load("radio", "dc24", new Consumption.ConstantPower(300));
        house.ampereHours = 10;
        house.startCharge = 0.6;
        house.source(0, 0, 3600, 0, 3601, 20);
        house.output("cut", null, new VoltageDisconnect("point", 51.5, 5, 52.5, 5), "dc24");
        var own = house.outputs.get(0);
        RunResult fromMain = house.run(2 * HOUR);
        assertEquals(fromMain.outputs().get(0).switchings(), 2, "opens, and closes when charged");
        house.outputs.set(0, own.withSupply(Optional.of("dc24")));
        RunResult behind = house.run(2 * HOUR);
        assertEquals(behind.outputs().get(0).switchings(), 1, "opens for ever: " + behind.events());
        assertTrue(behind.ledger().unservedJoules().get("radio")
                > fromMain.ledger().unservedJoules().get("radio"));
    }

    /**
     * A freezer feels the room it stands in: at −10 °C outside it runs 0.36 × (1 + 0.03 × (16 − 20)) of the time in one heated to 16 °C, and
     * 0.36 × (1 + 0.03 × (−6 − 20)) in one that is 4 K warmer than outside. By hand: 100 W in ten days 7603 Wh and 1901 Wh.
     */
    @Test
    public void aFreezerStandsInItsRoom() {
        assertEquals(freezerWattHours(new Room(16, 4)), 7603, 40);
        assertEquals(freezerWattHours(new Room(-20, 4)), 1901, 20);
    }

    private static double freezerWattHours(Room room) {
        House house =
                new House().load("freezer", null, new Consumption.Cycling(100, 720, 1280, 0.03, Optional.of(room)));
        house.airCelsius = -10;
        house.ampereHours = 4000;
        return house.run(10 * 86_400).ledger().servedJoules().get("freezer") / 3600;
    }
}
