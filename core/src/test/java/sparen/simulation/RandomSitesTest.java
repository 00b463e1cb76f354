package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;
import sparen.format.Profile;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.ChargeProgram;
import sparen.program.rule.GeneratorStart;
import sparen.program.rule.SurplusBySoc;
import sparen.program.rule.VoltageDisconnect;
import sparen.program.rule.VoltageDiversion;
import sparen.result.DayFigures;
import sparen.result.Event;
import sparen.result.Ledger;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.site.AcCoupledArray;
import sparen.site.AcSource;
import sparen.site.BatteryMonitor;
import sparen.site.Cable;
import sparen.site.ChargeController;
import sparen.site.Chemistry;
import sparen.site.Consumption;
import sparen.site.Converter;
import sparen.site.DailySpan;
import sparen.site.DcSource;
import sparen.site.Inverter;
import sparen.site.Load;
import sparen.site.SolarArray;
import sparen.site.WaterTank;

/** Theorems that hold at any site: energy and charge are conserved, states stay in bounds, the same is the same. */
public class RandomSitesTest {
    private static final int SITES = 240;
    private static final double TWO_DAYS = 2 * 86_400.0;

    /** Ledger to 1e-6, bounds, no NaN, every event with its cause; on two threads the same as on one. */
    @Test
    public void energyIsConservedAndTheSameIsTheSame() {
        List<House> houses = new ArrayList<>();
        for (int i = 0; i < SITES; i++) {
            houses.add(random(i));
        }
        List<RunResult> once = houses.stream().map(RandomSitesTest::run).toList();
        List<RunResult> again =
                houses.parallelStream().map(RandomSitesTest::run).toList();
        int withEvents = 0;
        for (int i = 0; i < SITES; i++) {
            RunResult result = once.get(i);
            String which = "site " + i + " " + result.ledger();
            assertEquals(result.ledger().closingError(), 0, 1e-6, which);
            assertTrue(result.lowestStateOfCharge().value() >= 0 && result.endStateOfCharge() <= 1 + 1e-9, which);
            assertTrue(Arrays.stream(result.trace().lowStateOfCharge()).noneMatch(charge -> charge < 0), which);
            assertTrue(Double.isFinite(result.endBatteryVolts()) && Double.isFinite(result.endBatteryAmperes()), which);
            double days = result.days().stream()
                    .mapToDouble(day -> day.ledger().inputJoules())
                    .sum();
            assertEquals(days, result.ledger().inputJoules(), 1e-6 * Math.max(1, days), which);
            for (DayFigures day : result.days()) {
                Ledger ledger = day.ledger();
                double through = ledger.inputJoules() + Math.abs(ledger.storedIncreaseJoules());
                assertEquals(ledger.closingError() * through, 0, 1e-6 * Math.max(1000, through), which + day);
            }
            assertFlows(result.ledger(), which);
            for (Event event : result.events()) {
                assertTrue(!event.reason().isBlank() && Double.isFinite(event.stateOfCharge()), event.toString());
            }
            withEvents += result.events().size() > 3 ? 1 : 0;
            assertEquals(again.get(i).events(), result.events(), which);
            assertEquals(again.get(i).ledger(), result.ledger(), which);
        }
        assertTrue(withEvents > SITES / 2, "sites where something happens: " + withEvents);
    }

    /** What the table of flows gives to each use is what the ledger says of it. */
    private static void assertFlows(Ledger ledger, String which) {
        double diverted = 0;
        double exported = 0;
        for (Ledger.Flows.Source source : Ledger.Flows.Source.values()) {
            diverted += ledger.flows().joules(source, Ledger.Flows.Use.DIVERSION);
            exported += ledger.flows().joules(source, Ledger.Flows.Use.EXPORT);
        }
        assertEquals(diverted, ledger.totalDivertedJoules(), 1e-6 * Math.max(1, diverted), which);
        assertEquals(exported, ledger.exportJoules(), 1e-6 * Math.max(1, exported), which);
    }

    private static RunResult run(House house) {
        return Simulation.run(house.scenario(TWO_DAYS), new Window(0, TWO_DAYS, 50));
    }

    static House random(int seed) {
        Random random = new Random(seed);
        House house = new House();
        house.seed = seed;
        house.chemistry = Chemistry.values()[seed % Chemistry.values().length];
        house.ampereHours = 50 + 600 * random.nextDouble();
        house.startCharge = random.nextDouble();
        house.mainCable = Cable.measured(0.002 * random.nextDouble());
        if (random.nextBoolean()) {
            house.batteries.add(House.battery("a", 0.4, 0.001, House.bms(120, 90, Optional.empty())));
            house.batteries.add(House.battery(
                    "b",
                    0.6,
                    0.002 * random.nextDouble(),
                    House.bms(150, 200, random.nextBoolean() ? Optional.of(50.0) : Optional.empty())));
        }
        sun(house, random);
        house.monitors.add(new BatteryMonitor(
                "m",
                "monitor",
                house.ampereHours,
                0.97,
                0.1 * random.nextGaussian(),
                0.001,
                1,
                5,
                56,
                15,
                120,
                random.nextBoolean() ? List.of("fan") : List.of()));
        house.converters.add(new Converter("dc24", "converter", 24, 5 + 30 * random.nextDouble(), 0.9, 4, 44, 48));
        loads(house, random);
        if (random.nextInt(3) > 0) {
            acSide(house, random);
        }
        outputs(house, random);
        return house;
    }

    private static void sun(House house, Random random) {
        int count = random.nextInt(3);
        List<ChargeProgram> charging = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            house.arrays.add(new SolarArray(
                    "array" + i, "array", 200 + 4000 * random.nextDouble(), 60, 120 + 60.0 * i, -0.004, 45, 0.05));
            house.controllers.add(new ChargeController(
                    "mppt" + i,
                    "controller",
                    List.of("array" + i),
                    10 + 60 * random.nextDouble(),
                    0.97,
                    2,
                    Cable.measured(0.003)));
            charging.add(new ChargeProgram("mppt" + i, 55 + 3 * random.nextDouble(), 3600, 54, 51.5, 60));
        }
        house.charging = charging;
        if (random.nextInt(4) == 0) {
            house.profiles.put(
                    "wind",
                    new Profile(Optional.empty(), new double[] {0, 5000, 9000}, new double[] {0, 800, 200}, 20_000));
            house.dcSources.add(new DcSource("wind", "wind", "wind", 57, 55));
        }
    }

    private static void loads(House house, Random random) {
        house.load("radio", "dc24", new Consumption.ConstantPower(150 * random.nextDouble()));
        house.load(
                "fridge",
                "dc24",
                new Consumption.Cycling(60 + 200 * random.nextDouble(), 700, 1300, 0.03, Optional.empty()));
        house.load("fan", null, new Consumption.ConstantCurrent(2 * random.nextDouble()));
        house.load("lamp", null, new Consumption.Resistance(20 + 100 * random.nextDouble()));
        house.loads.add(new Load(
                "heater",
                "heater",
                false,
                new Consumption.Resistance(2 + 10 * random.nextDouble()),
                Cable.copper(10, 6),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(Load.Use.DIVERSION),
                Optional.of("tank"),
                Optional.empty()));
        house.tanks.add(new WaterTank("tank", "tank", 80, 1.5, 65, 55, 8, 50, List.of(new WaterTank.DrawOff(7, 40))));
    }

    private static void acSide(House house, Random random) {
        house.inverter = Optional.of(House.inverter(
                1000 + 4000 * random.nextDouble(),
                random.nextBoolean() ? Optional.of(new Inverter.Search(4, 30, 1)) : Optional.empty()));
        List<ChargeProgram> charging = new ArrayList<>(house.charging);
        charging.add(new ChargeProgram("inverter", 56, 1800, 54, 51, 60));
        house.charging = charging;
        if (random.nextBoolean()) {
            house.acSources.add(new AcSource.Generator(
                    "gen",
                    "generator",
                    3000,
                    1 + random.nextInt(2),
                    8,
                    0.3,
                    60,
                    0.2,
                    30,
                    3,
                    0.4,
                    0.3,
                    Optional.empty()));
        }
        if (random.nextBoolean()) {
            house.acSources.add(new AcSource.Feeder(
                    "feeder",
                    "feeder",
                    4 + 16 * random.nextDouble(),
                    1,
                    2000,
                    3000,
                    1500,
                    List.of(new AcSource.PriceBand(DailySpan.daily(6, 22), 2, 0.5))));
        }
        if (random.nextBoolean()) {
            house.arrays.add(new SolarArray("roof", "roof", 3000 * random.nextDouble() + 100, 40, 180, -0.004, 45, 0));
            house.acArrays.add(new AcCoupledArray("roof", "inverter", 2500, 0.96));
        }
        house.load("kitchen", "inverter", new Consumption.Occupancy(1500, 8, 400, DailySpan.daily(6, 22)));
        house.load("server", "inverter", new Consumption.ConstantPower(60));
        List<AcWindow> windows = random.nextBoolean()
                ? List.of()
                : List.of(
                        new AcWindow(AcWindow.Kind.CHARGE, DailySpan.daily(1, 5), 0.8),
                        new AcWindow(AcWindow.Kind.DISCHARGE, DailySpan.daily(17, 20), 0.5));
        house.ac = new AcProgram(
                4 + 12 * random.nextDouble(),
                AcProgram.SourcePriority.values()[random.nextInt(2)],
                AcProgram.ChargePriority.values()[random.nextInt(3)],
                50.5,
                53,
                60,
                windows,
                random.nextBoolean());
    }

    private static void outputs(House house, Random random) {
        house.output(
                "cut", null, new VoltageDisconnect("point", 48 + 3 * random.nextDouble(), 5, 52, 60), "lamp", "dc24");
        house.output("vent", new VoltageDiversion("point", 54, 5, 53, 5, 60), null, "fan");
        house.output("surplus", new SurplusBySoc("m", 90, 10, 80, 10), null, "heater");
        if (house.acSources.stream().anyMatch(source -> source instanceof AcSource.Generator)) {
            house.output("call", new GeneratorStart("m", 40, 60, 70, 60, 600, 22, 6, List.of()), null, "gen");
        }
    }
}
