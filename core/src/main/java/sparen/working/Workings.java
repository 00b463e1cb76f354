package sparen.working;

import java.util.List;
import java.util.Map;
import sparen.examined.PlanFacts;
import sparen.format.Profile;
import sparen.program.Plan;

/** All calculators. A new one is a class in a file of its own and a line here. */
public final class Workings {
    private static final List<Calculator> ALL = List.of(
            new AbsorptionTime(),
            new LithiumAbsorption(),
            new EqualizationTime(),
            new ChargeCurrentCeiling(),
            new AcInput(),
            new MonitorSettings(),
            new HysteresisFromSag(),
            new CableDropOfLoad(),
            new StringVoltage(),
            new VentilationAir(),
            new DiversionSizing(),
            new WindowLength(),
            new CellScaling(),
            new Autonomy());

    private Workings() {}

    /** All that can be worked out for a plan. */
    public static List<Working> of(Plan plan, Map<String, Profile> profiles) {
        return of(new PlanFacts(plan, profiles));
    }

    /** The same of a plan of which the facts are there. */
    public static List<Working> of(PlanFacts examined) {
        return ALL.stream().flatMap(calculator -> calculator.work(examined)).toList();
    }
}
