package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.power.PlanningArithmetic;
import sparen.program.Level;
import sparen.program.rule.VentilationByGassing;
import sparen.site.Chemistry;

/** A battery that gasses needs air: Q = 0.05 n I C / 1000, EN IEC 62485-2, from memory; see {@link sparen.power.PlanningArithmetic}. */
final class VentilationNeeded implements Check {
    private static final double BOOST_VENTED = 20;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        boolean ventilated = plan.rules().anyMatch(placed -> placed.rule() instanceof VentilationByGassing)
                || plan.levels(Level.Role.SURPLUS_ON)
                        .anyMatch(on -> on.output().loads().stream().anyMatch(id -> plan.site().loads().stream()
                                .anyMatch(load -> load.id().equals(id) && !load.diverts())));
        if (plan.bank().chemistry() != Chemistry.FLOODED || ventilated) {
            return Stream.empty();
        }
        double air = PlanningArithmetic.ventilationCubicMetresPerHour(
                plan.bank().cellsInSeries(), BOOST_VENTED, plan.bank().capacityAmpereHours());
        return Stream.of(finding(
                        Hazard.GAS,
                        Severity.CAUTION,
                        "",
                        "A vented battery gives off hydrogen while it is charged, and no output ventilates. Natural openings"
                                + " of this size do as well; the standard and local rules decide.")
                .about("site/battery")
                .number("air needed", air, "m³/h", "EN IEC 62485-2")
                .number(
                        "opening, in and out each",
                        PlanningArithmetic.ventilationOpeningSquareCentimetres(air),
                        "cm²",
                        "EN IEC 62485-2"));
    }
}
