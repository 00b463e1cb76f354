package sparen.program;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.site.BatteryBank;
import sparen.site.BatteryMonitor;
import sparen.site.Cable;
import sparen.site.ChargeController;
import sparen.site.Chemistry;
import sparen.site.Consumption;
import sparen.site.Load;
import sparen.site.Location;
import sparen.site.SensePoint;
import sparen.site.Site;
import sparen.site.SolarArray;

/** A plain site that has something of all that rules can name: a sense point, a monitor, a charger, arrays with voltages, two outputs. */
final class FullSite {
    static final Plan PLAN = plan();

    private FullSite() {}

    private static Plan plan() {
        SolarArray array = new SolarArray(
                "array",
                "array",
                1000,
                40,
                180,
                -0.004,
                45,
                0.05,
                Optional.of(new SolarArray.ModuleString(80, 66, -0.003, 120)),
                Optional.empty(),
                List.of(),
                Optional.empty());
        Site site = new Site(
                "full",
                new Location(63, 10, 0, "UTC"),
                24,
                new BatteryBank("bank", Chemistry.FLOODED, 12, 400, 20, 21, 30, 0.8, Optional.empty()),
                Cable.measured(0.001),
                List.of(array),
                List.of(new ChargeController("mppt", "mppt", List.of("array"), 40, 0.97, 1, Cable.measured(0.001))),
                List.of(),
                List.of(load("radio"), load("kitchen")),
                List.of(new SensePoint("bus", "bus", SensePoint.Place.BUS, 0)),
                List.of(new BatteryMonitor("monitor", "monitor", 400, 0.9, 0, 0, 1, 10, 28, 8, 60, List.of())),
                List.of(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(),
                List.of());
        return new Plan(
                site,
                new Program(
                        List.of(new ChargeProgram("mppt", 28.8, 7200, 27.2, 25, 600)),
                        List.of(output("radio"), output("kitchen"))),
                Map.of());
    }

    private static Load load(String id) {
        return new Load(id, id, false, new Consumption.ConstantPower(50), Cable.measured(0.01));
    }

    private static Output output(String id) {
        return new Output(id, id, List.of(id), Wish.ON, Optional.empty(), Optional.empty(), TestForce.NONE);
    }
}
