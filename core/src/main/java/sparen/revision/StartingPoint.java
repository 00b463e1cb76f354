package sparen.revision;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.program.AcProgram;
import sparen.program.ChargeDetails;
import sparen.program.ChargeDetails.AbsorptionEnd;
import sparen.program.ChargeProgram;
import sparen.program.Origin;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Program;
import sparen.program.Rule;
import sparen.program.TestForce;
import sparen.program.Wish;
import sparen.program.rule.GeneratorStart;
import sparen.program.rule.LowBatterySignal;
import sparen.program.rule.SurplusBySoc;
import sparen.program.rule.VentilationByGassing;
import sparen.program.rule.VoltageDisconnect;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.site.AcSource;
import sparen.site.BatteryBank;
import sparen.site.BatteryMonitor;
import sparen.site.Bms;
import sparen.site.Cable;
import sparen.site.ChargeController;
import sparen.site.Chemistry;
import sparen.site.Consumption;
import sparen.site.Inverter;
import sparen.site.Load;
import sparen.site.Location;
import sparen.site.ParallelBattery;
import sparen.site.SensePoint;
import sparen.site.Site;
import sparen.site.SolarArray;

/**
 * The little that is known of a site at first, from which a complete plan is made, to be adapted: sensible levels for its battery, and
 * no danger or caution in it. Numbers nobody has told are usual ones (common practice, no source) or guesses, and marked so.
 *
 * @param name what the crew calls the site
 * @param location where it is
 * @param nominalVolts 12, 24, 36 or 48 V
 * @param chemistry of the battery; not a table
 * @param capacityAmpereHours (Ah), 1 to 100,000
 * @param arrayWatts at standard test conditions (W), 10 to 1,000,000
 * @param inverter whether there is an inverter with a charger
 * @param generator whether a generator can charge through it
 * @param surplusLoad whether there is a load that takes surplus
 */
public record StartingPoint(
        String name,
        Location location,
        double nominalVolts,
        Chemistry chemistry,
        double capacityAmpereHours,
        double arrayWatts,
        boolean inverter,
        boolean generator,
        boolean surplusLoad) {
    private static final List<Double> VOLTAGES = List.of(12.0, 24.0, 36.0, 48.0);

    public StartingPoint {
        Bounds.name("name", name);
        Bounds.present("location", location);
        Bounds.present("chemistry", chemistry);
        Bounds.within("capacityAmpereHours", capacityAmpereHours, 1, 100_000);
        Bounds.within("arrayWatts", arrayWatts, 10, 1_000_000);
        if (!VOLTAGES.contains(nominalVolts)) {
            throw new InvalidQuantity(
                    "nominalVolts", Bounds.number(nominalVolts) + " V is not one of " + VOLTAGES + " V");
        }
        if (chemistry == Chemistry.USER_TABLE) {
            throw new InvalidQuantity("chemistry", "a battery by its table is imported as a document");
        }
        if (generator && !inverter) {
            throw new InvalidQuantity("generator", "it charges through an inverter; there is none");
        }
    }

    private double sets() {
        return nominalVolts / 12;
    }

    private int cells() {
        int of12 = chemistry.isLeadAcid() ? 6 : chemistry == Chemistry.NMC ? 3 : 4;
        return (int) Math.round(of12 * sets());
    }

    /** A level of a cell as one of the bank (V), to a tenth. */
    private double bank(double flooded, double sealed, double ironPhosphate, double nmc) {
        double cell =
                switch (chemistry) {
                    case FLOODED -> flooded;
                    case AGM, GEL -> sealed;
                    case LITHIUM_IRON_PHOSPHATE -> ironPhosphate;
                    default -> nmc;
                };
        return Math.round(cell * cells() * 10) / 10.0;
    }

    /** The plan. */
    public Plan plan() {
        Site site = site();
        List<Output> outputs = new ArrayList<>();
        outputs.add(output(
                "loads",
                "Load disconnect",
                null,
                new VoltageDisconnect("battery", lvd(), 30, bank(2.1, 2.12, 3.31, 3.74), 300),
                "essential"));
        outputs.add(output(
                "comfort",
                "Comfort loads",
                null,
                new VoltageDisconnect("battery", bank(1.98, 1.99, 3.21, 3.55), 30, bank(2.12, 2.14, 3.33, 3.78), 600),
                "comfort"));
        outputs.add(output(
                "warning",
                "Low-battery signal",
                new LowBatterySignal("battery", bank(2.0, 2.01, 3.23, 3.58), 60, bank(2.1, 2.12, 3.32, 3.74), 600),
                null));
        if (chemistry == Chemistry.FLOODED) {
            outputs.add(output(
                    "vent",
                    "Battery room fan",
                    new VentilationByGassing("battery", bank(2.35, 0, 0, 0), Optional.empty(), 1, 300, 900),
                    null,
                    "fan"));
        }
        if (surplusLoad) {
            outputs.add(output(
                    "surplus", "Surplus load", new SurplusBySoc("monitor", 96, 300, 90, 60), null, "surplus-load"));
        }
        if (generator) {
            outputs.add(output(
                    "start",
                    "Generator start",
                    new GeneratorStart("monitor", 30, 120, 80, 60, 1800, 22, 7, List.of()),
                    null,
                    "generator"));
        }
        List<ChargeProgram> charging = new ArrayList<>();
        charging.add(charging("controller"));
        if (inverter) {
            charging.add(charging("inverter"));
        }
        Optional<AcProgram> ac = inverter
                ? Optional.of(AcProgram.PLAIN.withInputLimitAmperes(
                        generator ? Math.floor(generatorWatts() / 230 * 0.9) : 12.0))
                : Optional.empty();
        return new Plan(site, new Program(charging, outputs, ac), origins(site, outputs));
    }

    private double lvd() {
        return bank(1.93, 1.94, 3.16, 3.45);
    }

    private ChargeProgram charging(String charger) {
        double share = chemistry.isLithium() ? 0.03 : 0.02;
        ChargeDetails details = ChargeDetails.NONE.withAbsorptionEnd(Optional.of(new AbsorptionEnd(
                Optional.of(Math.max(0.1, capacityAmpereHours * share)),
                AbsorptionEnd.Whose.NET_AT_SHUNT,
                1200,
                AbsorptionEnd.InCloud.PAUSES,
                Optional.empty())));
        details = chemistry.isLithium()
                ? details.withTemperatureLimits(Optional.of(new ChargeDetails.TemperatureLimits(4, 45, 2)))
                : details.withCompensation(Optional.of(
                        new ChargeDetails.Compensation(-0.004, bank(2.53, 2.45, 0, 0), bank(2.2, 2.2, 0, 0), false)));
        return new ChargeProgram(
                charger,
                bank(2.4, 2.37, 3.5, 4.1),
                chemistry.isLithium() ? 3600 : 10_800,
                bank(2.25, 2.25, 3.35, 3.98),
                bank(2.1, 2.1, 3.28, 3.85),
                600,
                Optional.of(details));
    }

    private double chargeAmperes() {
        return Math.ceil(arrayWatts * 1.05 / nominalVolts / 5) * 5;
    }

    private double inverterWatts() {
        return Math.max(500, Math.round(capacityAmpereHours * nominalVolts * 0.15 / 100) * 100.0);
    }

    private double generatorWatts() {
        return Math.max(2000, Math.round(inverterWatts() * 1.2 / 500) * 500.0);
    }

    private Site site() {
        // A load that the bank carries for two days and more.
        double watts = Math.max(1, Math.round(capacityAmpereHours * nominalVolts * 0.4 / 48 / 2));
        List<Load> loads = new ArrayList<>();
        loads.add(load("essential", "Essential loads", true, watts, null));
        loads.add(load("comfort", "Comfort loads", false, watts, null));
        if (chemistry == Chemistry.FLOODED) {
            loads.add(load("fan", "Battery room fan", false, 10, null));
        }
        if (surplusLoad) {
            double surplus = Math.max(20, Math.round(arrayWatts * 0.3 / 10) * 10.0);
            double taken = inverter ? Math.min(surplus, inverterWatts() * 0.6) : surplus;
            loads.add(load("surplus-load", "Surplus load", false, taken, inverter ? "inverter" : null)
                    .withUse(Optional.of(Load.Use.DIVERSION)));
        }
        SolarArray array = new SolarArray(
                "array",
                "Array",
                arrayWatts,
                Math.min(75, Math.abs(location.latitudeDegrees()) * 0.9),
                location.latitudeDegrees() >= 0 ? 180 : 0,
                -0.0037,
                45,
                0.06,
                Optional.empty(),
                Optional.empty(),
                List.of(),
                Optional.empty());
        BatteryMonitor monitor = new BatteryMonitor(
                "monitor",
                "the battery monitor",
                capacityAmpereHours,
                chemistry.isLithium() ? 0.99 : 0.9,
                0,
                0,
                1,
                5,
                bank(2.38, 2.35, 3.46, 4.07),
                Math.max(0.1, capacityAmpereHours * 0.04),
                300,
                List.of());
        List<AcSource> sources = generator
                ? List.of(new AcSource.Generator(
                        "generator", "Generator", generatorWatts(), 1, 15, 0.25, 120, 0.02, 30, 3, 0.4, 0.35))
                : List.of();
        return new Site(
                name,
                location,
                nominalVolts,
                battery(),
                Cable.measured(0.0005),
                List.of(array),
                List.of(new ChargeController(
                        "controller",
                        "Charge controller",
                        List.of("array"),
                        chargeAmperes(),
                        0.96,
                        1.5,
                        Cable.measured(0.002))),
                List.of(),
                loads,
                List.of(
                        new SensePoint("battery", "battery terminals", SensePoint.Place.BATTERY_TERMINALS, 0),
                        new SensePoint("bus", "main bus", SensePoint.Place.BUS, 0)),
                List.of(monitor),
                List.of(),
                inverter ? Optional.of(inverterAt()) : Optional.empty(),
                sources,
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                List.of());
    }

    private BatteryBank battery() {
        List<ParallelBattery> boxes = chemistry.isLithium()
                ? List.of(new ParallelBattery(
                        "box", "Battery box", 1, Cable.measured(0.0005), Optional.empty(), 0, Optional.of(bms())))
                : List.of();
        return new BatteryBank(
                "Battery bank",
                chemistry,
                cells(),
                capacityAmpereHours,
                chemistry.isLithium() ? 5 : 20,
                bank(1.8, 1.82, 2.8, 3.1),
                bank(2.6, 2.5, 3.65, 4.2),
                0.8,
                Optional.empty(),
                boxes,
                Optional.empty(),
                Optional.empty());
    }

    private Bms bms() {
        double most = Math.max(capacityAmpereHours * 0.7, chargeAmperes() * 2 + 20);
        return new Bms(
                bank(0, 0, 3.63, 4.19),
                bank(0, 0, 3.5, 4.08),
                bank(0, 0, 2.6, 3.0),
                bank(0, 0, 3.0, 3.3),
                2,
                most,
                Math.max(most, inverterWatts() * 3 / nominalVolts),
                5,
                60,
                0,
                50,
                -20,
                55,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                1);
    }

    private Inverter inverterAt() {
        return new Inverter(
                "inverter",
                "Inverter",
                230,
                inverterWatts(),
                inverterWatts() * 1.25,
                2,
                5,
                40,
                0.01,
                Math.max(3, inverterWatts() * 0.005),
                0.05,
                0.05,
                Optional.of(new Inverter.Search(1.5, 15, 2)),
                new Inverter.DcWindow(
                        bank(1.88, 1.88, 2.95, 3.25),
                        bank(1.82, 1.84, 2.85, 3.15),
                        10,
                        bank(2.05, 2.06, 3.2, 3.6),
                        bank(2.75, 2.7, 3.8, 4.4)),
                Cable.measured(0.0005),
                Optional.of(new Inverter.Charger(Math.max(1, Math.floor(capacityAmpereHours * 0.1)), 0.9)),
                Optional.of(new Inverter.Transfer(50, 12, true)));
    }

    private static Load load(String id, String name, boolean critical, double watts, String feed) {
        return new Load(
                id,
                name,
                critical,
                new Consumption.ConstantPower(watts),
                Cable.measured(0.005),
                Optional.ofNullable(feed),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static Output output(String id, String name, Rule automatic, Rule protection, String... loads) {
        return new Output(
                id,
                name,
                List.of(loads),
                automatic == null ? Wish.ON : Wish.AUTOMATIC,
                Optional.ofNullable(automatic),
                Optional.ofNullable(protection),
                TestForce.NONE);
    }

    /** Levels are usual ones; what stands there is guessed until somebody has looked. */
    private static Map<String, Origin> origins(Site site, List<Output> outputs) {
        Origin guess = new Origin(Origin.Kind.GUESS, "not yet taken down");
        Origin usual = new Origin(Origin.Kind.COMMON_PRACTICE, "");
        Map<String, Origin> origins = new HashMap<>();
        origins.put("site/battery/startStateOfCharge", guess);
        origins.put("site/mainCable", guess);
        for (Load load : site.loads()) {
            origins.put("site/loads/" + load.id() + "/consumption/watts", guess);
            origins.put("site/loads/" + load.id() + "/cable", guess);
        }
        origins.put("site/battery/lowestVolts", usual);
        origins.put("site/battery/highestVolts", usual);
        for (Output output : outputs) {
            output.protection().ifPresent(rule -> rule.levels()
                    .forEach(level ->
                            origins.put("program/outputs/" + output.id() + "/protection/" + level.field(), usual)));
        }
        return origins;
    }
}
