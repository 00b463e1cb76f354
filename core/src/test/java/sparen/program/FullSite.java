package sparen.program;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import sparen.program.ChargeDetails.AbsorptionEnd;
import sparen.program.rule.GeneratorStart;
import sparen.program.rule.LowBatterySignal;
import sparen.program.rule.VentilationByGassing;
import sparen.program.rule.VoltageDisconnect;
import sparen.quantity.Fields;
import sparen.site.AcSource;
import sparen.site.BatteryBank;
import sparen.site.BatteryMonitor;
import sparen.site.Bms;
import sparen.site.Cable;
import sparen.site.ChargeController;
import sparen.site.Chemistry;
import sparen.site.Consumption;
import sparen.site.Fuse;
import sparen.site.Inverter;
import sparen.site.Load;
import sparen.site.Location;
import sparen.site.ParallelBattery;
import sparen.site.SensePoint;
import sparen.site.Site;
import sparen.site.SolarArray;

/**
 * A plan that has something of all that rules can name and checks can look at, and in which nothing is wrong: a 24 V flooded bank, two
 * outputs of loads, a fan, a warning, an inverter with charger, a generator. Tests change one thing of it.
 */
public final class FullSite {
    public static final Plan PLAN = plan();
    public static final Plan LITHIUM = lithium();

    private FullSite() {}

    private static Plan plan() {
        SolarArray array = new SolarArray(
                "array",
                "array",
                1400,
                40,
                180,
                -0.004,
                45,
                0.05,
                Optional.of(new SolarArray.ModuleString(80, 66, -0.003, 120)),
                Optional.empty(),
                List.of(),
                Optional.empty());
        Inverter inverter = new Inverter(
                "inverter",
                "inverter",
                230,
                2000,
                2400,
                2,
                5,
                45,
                0,
                8,
                0.04,
                0.03,
                Optional.of(new Inverter.Search(2, 20, 2)),
                new Inverter.DcWindow(22.4, 21.6, 10, 24.5, 33),
                Cable.copper(70, 1),
                Optional.of(new Inverter.Charger(40, 0.9)),
                Optional.of(new Inverter.Transfer(30, 12, true)),
                Optional.empty(),
                Optional.empty());
        Site site = new Site(
                "full",
                new Location(60, 10, 0, "UTC"),
                24,
                new BatteryBank("bank", Chemistry.FLOODED, 12, 400, 20, 21, 31, 0.8, Optional.empty()),
                guarded(0.001, 250, 200),
                List.of(array),
                List.of(new ChargeController(
                        "mppt",
                        "mppt",
                        List.of("array"),
                        60,
                        0.97,
                        1,
                        guarded(0.001, 90, 80),
                        Optional.empty(),
                        Optional.of(150.0),
                        Optional.empty())),
                List.of(),
                List.of(
                        load("radio", true, new Consumption.ConstantPower(50), null),
                        load("kitchen", false, new Consumption.ConstantPower(120), null),
                        load("fan", false, new Consumption.ConstantPower(12), null),
                        load("saw", false, new Consumption.ConstantPower(900), "inverter")),
                List.of(
                        new SensePoint("bus", "bus", SensePoint.Place.BUS, 0),
                        new SensePoint("terminals", "battery", SensePoint.Place.BATTERY_TERMINALS, 0),
                        new SensePoint(
                                "behind",
                                "behind the contact",
                                SensePoint.Place.BEHIND_CONTACT,
                                0,
                                Optional.of("radio"))),
                List.of(new BatteryMonitor("monitor", "monitor", 400, 0.9, 0, 0, 1, 10, 28, 8, 60, List.of())),
                List.of(),
                Optional.of(inverter),
                List.of(new AcSource.Generator(
                        "generator", "generator", 3000, 1, 20, 0.3, 60, 0, 30, 3, 0.3, 0.35, Optional.empty())),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                List.of());
        ChargeDetails details = ChargeDetails.NONE
                .withAbsorptionEnd(Optional.of(new AbsorptionEnd(
                        Optional.of(8.0),
                        AbsorptionEnd.Whose.NET_AT_SHUNT,
                        1200,
                        AbsorptionEnd.InCloud.PAUSES,
                        Optional.empty())))
                .withMaximumAmperes(Optional.of(55.0));
        List<Output> outputs = List.of(
                output("radio", null, new VoltageDisconnect("terminals", 22.8, 30, 25, 300), "radio"),
                output("kitchen", null, new VoltageDisconnect("terminals", 23.4, 30, 25.4, 300), "kitchen"),
                output("fan", new VentilationByGassing("terminals", 28, Optional.empty(), 1, 300, 900), null, "fan"),
                output("warning", new LowBatterySignal("terminals", 23.8, 60, 25, 600), null),
                output(
                        "start",
                        new GeneratorStart("monitor", 30, 60, 80, 60, 1800, 22, 7, List.of()),
                        null,
                        "generator"));
        return new Plan(
                site,
                new Program(
                        List.of(
                                new ChargeProgram("mppt", 28.8, 7200, 27.2, 25, 600, Optional.of(details)),
                                new ChargeProgram("inverter", 28.2, 7200, 27, 25, 600)),
                        outputs,
                        Optional.of(AcProgram.PLAIN.withInputLimitAmperes(12.0))),
                Map.of());
    }

    /** The same with eight cells of lithium iron phosphate in two boxes that guard themselves. */
    private static Plan lithium() {
        Bms bms = new Bms(
                29.2,
                28,
                20,
                24,
                2,
                100,
                100,
                5,
                60,
                0,
                50,
                -20,
                55,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                0.5);
        List<ParallelBattery> boxes = List.of(box("a", bms), box("b", bms));
        BatteryBank bank = new BatteryBank(
                "bank",
                Chemistry.LITHIUM_IRON_PHOSPHATE,
                8,
                400,
                5,
                22,
                29,
                0.8,
                Optional.empty(),
                boxes,
                Optional.empty(),
                Optional.empty());
        ChargeDetails limits =
                ChargeDetails.NONE.withTemperatureLimits(Optional.of(new ChargeDetails.TemperatureLimits(4, 45, 2)));
        Plan plan = PLAN.withSite(PLAN.site().withBattery(bank));
        return plan.withProgram(plan.program()
                .withCharging(List.of(
                        new ChargeProgram("mppt", 28, 3600, 27, 26.2, 600, Optional.of(limits)),
                        new ChargeProgram("inverter", 27.8, 3600, 27, 26, 600, Optional.of(limits)))));
    }

    private static ParallelBattery box(String id, Bms bms) {
        return new ParallelBattery(id, id, 0.5, Cable.measured(0.001), Optional.empty(), 0, Optional.of(bms));
    }

    private static Cable guarded(double ohms, double bears, double fuse) {
        return new Cable(
                Optional.of(ohms),
                Optional.empty(),
                Optional.empty(),
                Optional.of(bears),
                Optional.of(new Fuse(fuse, 60, 10_000)));
    }

    private static Load load(String id, boolean critical, Consumption consumption, String feed) {
        return new Load(
                id,
                id,
                critical,
                consumption,
                Cable.measured(0.01),
                Optional.ofNullable(feed),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static Output output(String id, Rule automatic, Rule protection, String... loads) {
        return new Output(
                id,
                id,
                List.of(loads),
                automatic == null ? Mode.ON : Mode.BY_RULE,
                Optional.ofNullable(automatic),
                Optional.ofNullable(protection),
                TestForce.NONE);
    }

    /** A plan with one of its outputs changed. */
    public static Plan output(Plan plan, String id, UnaryOperator<Output> change) {
        return plan.withProgram(plan.program()
                .withOutputs(plan.program().outputs().stream()
                        .map(output -> output.id().equals(id) ? change.apply(output) : output)
                        .toList()));
    }

    /** A plan with a component of the protection of one of its outputs changed. */
    public static Plan protection(Plan plan, String id, String component, Object value) {
        return output(
                plan,
                id,
                output -> output.withProtection(output.protection().map(rule -> Fields.with(rule, component, value))));
    }

    /** A plan with a component of its site changed. */
    public static Plan site(Plan plan, String component, Object value) {
        return plan.withSite(Fields.with(plan.site(), component, value));
    }
}
