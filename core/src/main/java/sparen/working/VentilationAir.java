package sparen.working;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.power.PlanningArithmetic;
import sparen.site.Chemistry;

/** Air and openings for a battery room: Q = 0.05 n I C / 1000, A = 28 Q; EN IEC 62485-2, from memory. */
final class VentilationAir implements Calculator {
    @Override
    public Stream<Working> work(PlanFacts plan) {
        if (!plan.bank().chemistry().isLeadAcid()) {
            return Stream.empty();
        }
        double gas = plan.bank().chemistry() == Chemistry.FLOODED ? 20 : 8;
        double air = PlanningArithmetic.ventilationCubicMetresPerHour(
                plan.bank().cellsInSeries(), gas, plan.bank().capacityAmpereHours());
        return Stream.of(working("site/battery", "Ventilation of the battery room", air, "m³/h")
                .line(
                        "0.05 × %d cells × %.0f mA/Ah × %.0f Ah / 1000 = %.2f m³/h",
                        plan.bank().cellsInSeries(), gas, plan.bank().capacityAmpereHours(), air)
                .line(
                        "openings, in and out each: 28 × %.2f = %.0f cm²",
                        air, PlanningArithmetic.ventilationOpeningSquareCentimetres(air))
                .line(
                        "keep sparks %.0f mm away; the standard and local rules decide",
                        PlanningArithmetic.sparkDistanceMillimetres(
                                gas, plan.bank().capacityAmpereHours())));
    }
}
