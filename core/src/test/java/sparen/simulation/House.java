package sparen.simulation;

import static org.testng.Assert.assertEquals;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import sparen.format.Profile;
import sparen.program.AcProgram;
import sparen.program.ChargeProgram;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Program;
import sparen.program.Rule;
import sparen.program.TestForce;
import sparen.result.Event;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.site.AcCoupledArray;
import sparen.site.AcSource;
import sparen.site.BatteryBank;
import sparen.site.BatteryMonitor;
import sparen.site.BatteryTable;
import sparen.site.Bms;
import sparen.site.Cable;
import sparen.site.ChargeController;
import sparen.site.Chemistry;
import sparen.site.Consumption;
import sparen.site.Converter;
import sparen.site.CurrentSource;
import sparen.site.DcSource;
import sparen.site.Inverter;
import sparen.site.Load;
import sparen.site.ParallelBattery;
import sparen.site.SensePoint;
import sparen.site.Site;
import sparen.site.SolarArray;
import sparen.site.WaterTank;
import sparen.sun.DayType;
import sparen.sun.WeatherGenerator;

/** A 48 V site in the dark for tests of one part at a time: a stiff battery, and what the test puts beside it. */
final class House {
    static final Instant START = Instant.parse("2026-03-02T00:00:00Z");

    Chemistry chemistry = Chemistry.USER_TABLE;
    double ampereHours = 400;
    double startCharge = 0.6;
    double ohms = 0.004;
    List<Double> curve = List.of(50.0, 54.0);
    final List<ParallelBattery> batteries = new ArrayList<>();
    final List<Load> loads = new ArrayList<>();
    final List<Output> outputs = new ArrayList<>();
    final List<CurrentSource> sources = new ArrayList<>();
    final List<SolarArray> arrays = new ArrayList<>();
    final List<ChargeController> controllers = new ArrayList<>();
    final List<AcCoupledArray> acArrays = new ArrayList<>();
    final List<DcSource> dcSources = new ArrayList<>();
    final List<BatteryMonitor> monitors = new ArrayList<>();
    final List<Converter> converters = new ArrayList<>();
    final List<AcSource> acSources = new ArrayList<>();
    final List<WaterTank> tanks = new ArrayList<>();
    final Map<String, Profile> profiles = new HashMap<>();
    Cable mainCable = Cable.measured(0);
    Optional<Inverter> inverter = Optional.empty();
    AcProgram ac = AcProgram.PLAIN;
    List<ChargeProgram> charging = List.of();
    List<TalkLoss> talkLosses = List.of();
    List<Request> requests = List.of();
    SensePoint point = new SensePoint("point", "battery terminals", SensePoint.Place.BATTERY_TERMINALS, 0);
    Optional<DayType> weather = Optional.empty();
    double airCelsius = 10;
    long seed = 1;

    /** An inverter/charger of 3 kW, surge 2× for 5 s, that assists. */
    static Inverter inverter(double continuousWatts, Optional<Inverter.Search> search) {
        return new Inverter(
                "inverter",
                "inverter",
                230,
                continuousWatts,
                continuousWatts * 1.2,
                2,
                5,
                60,
                0,
                20,
                0.04,
                0.03,
                search,
                new Inverter.DcWindow(47, 45, 10, 50, 62),
                Cable.measured(0.001),
                Optional.of(new Inverter.Charger(50, 0.9)),
                Optional.of(new Inverter.Transfer(30, 12, true)),
                Optional.empty(),
                Optional.empty());
    }

    House withInverter(double continuousWatts) {
        inverter = Optional.of(inverter(continuousWatts, Optional.empty()));
        charging = List.of(new ChargeProgram("inverter", 57, 3600, 55, 51, 60));
        return this;
    }

    House load(String id, String feed, Consumption consumption) {
        loads.add(new Load(
                id,
                id,
                false,
                consumption,
                Cable.measured(0),
                Optional.ofNullable(feed),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()));
        return this;
    }

    /** A load by its pulses: seconds and watts by turns. */
    House pulses(String id, String feed, double... secondsAndWatts) {
        double[] seconds = new double[secondsAndWatts.length / 2];
        double[] watts = new double[seconds.length];
        for (int i = 0; i < seconds.length; i++) {
            seconds[i] = secondsAndWatts[2 * i];
            watts[i] = secondsAndWatts[2 * i + 1];
        }
        profiles.put(id, new Profile(Optional.empty(), seconds, watts, 1e8));
        return load(id, feed, new Consumption.ImportedProfile(id));
    }

    House output(String id, Rule automatic, Rule protection, String... drives) {
        outputs.add(new Output(
                id,
                id,
                List.of(drives),
                automatic == null ? Mode.ON : Mode.BY_RULE,
                Optional.ofNullable(automatic),
                Optional.ofNullable(protection),
                TestForce.NONE));
        return this;
    }

    /** Changes the output that was put last. */
    House last(UnaryOperator<Output> change) {
        outputs.set(outputs.size() - 1, change.apply(outputs.get(outputs.size() - 1)));
        return this;
    }

    /** A clear day on an array of 80 V open circuit behind a controller of 60 A. */
    House sun(String controller, double peakWatts) {
        arrays.add(new SolarArray(
                "of-" + controller,
                "array",
                peakWatts,
                40,
                180,
                -0.004,
                45,
                0.05,
                Optional.of(new SolarArray.ModuleString(80, 66, -0.003, 120)),
                Optional.empty(),
                List.of(),
                Optional.empty()));
        controllers.add(new ChargeController(
                controller, controller, List.of("of-" + controller), 60, 0.97, 1, Cable.measured(0.002)));
        charging = new ArrayList<>(charging);
        charging.add(new ChargeProgram(controller, 53.9, 1800, 53.6, 51, 600));
        weather = Optional.of(DayType.CLEAR);
        return this;
    }

    /** A monitor that has 400 Ah in mind and reports whole percents each second. */
    House monitor(double startCount) {
        startCharge = startCount;
        monitors.add(new BatteryMonitor("monitor", "monitor", 400, 1, 0, 0, 1, 1, 54, 4, 60, List.of()));
        return this;
    }

    House source(double... secondsAndAmperes) {
        List<CurrentSource.Point> points = new ArrayList<>();
        for (int i = 0; i < secondsAndAmperes.length; i += 2) {
            points.add(new CurrentSource.Point(secondsAndAmperes[i], secondsAndAmperes[i + 1]));
        }
        sources.add(new CurrentSource("source", "source", points));
        return this;
    }

    static ParallelBattery battery(String id, double share, double cableOhms, Bms bms) {
        return new ParallelBattery(
                id, id, share, Cable.measured(cableOhms), Optional.empty(), 0, Optional.ofNullable(bms));
    }

    /** A BMS of one box: 44–58 V, currents as given, no cold. */
    static Bms bms(double chargeAmperes, double dischargeAmperes, Optional<Double> wakeUpVolts) {
        return new Bms(
                58,
                56,
                44,
                49,
                2,
                chargeAmperes,
                dischargeAmperes,
                3,
                60,
                -40,
                60,
                -40,
                60,
                wakeUpVolts,
                Optional.of(56.0),
                Optional.of(40.0),
                Optional.empty(),
                0);
    }

    Plan plan() {
        BatteryTable table = new BatteryTable(List.of(0.0, 1.0), curve, ohms, List.of());
        boolean byTable = chemistry == Chemistry.USER_TABLE;
        BatteryBank bank = new BatteryBank(
                "bank",
                chemistry,
                chemistry.isLeadAcid() ? 24 : 16,
                ampereHours,
                20,
                40,
                60,
                startCharge,
                byTable ? Optional.of(table) : Optional.empty(),
                batteries,
                Optional.empty(),
                Optional.empty());
        Site site = new Site(
                "house",
                Sites.SUBARCTIC,
                48,
                bank,
                mainCable,
                arrays,
                controllers,
                sources,
                loads,
                List.of(point),
                monitors,
                converters,
                inverter,
                acSources,
                acArrays,
                dcSources,
                tanks,
                Optional.empty(),
                List.of());
        return new Plan(site, new Program(charging, outputs, Optional.of(ac)), Map.of());
    }

    Scenario scenario(double seconds) {
        int minutes = (int) Math.ceil(seconds / 60);
        DayType type = weather.orElse(arrays.isEmpty() ? DayType.DULL : DayType.values()[(int) (seed % 3)]);
        return new Scenario(
                plan(),
                START,
                seconds,
                WeatherGenerator.generate(Sites.SUBARCTIC, START, minutes, type, airCelsius, seed),
                profiles,
                seed,
                talkLosses,
                requests);
    }

    RunResult run(double seconds) {
        RunResult result = Simulation.run(scenario(seconds), new Window(0, seconds, 100));
        assertEquals(result.ledger().closingError(), 0, 1e-8, "ledger " + result.ledger());
        return result;
    }

    static List<Event> of(RunResult result, Event.Kind kind) {
        return result.events().stream().filter(event -> event.kind() == kind).toList();
    }
}
