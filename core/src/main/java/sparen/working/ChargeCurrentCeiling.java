package sparen.working;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.check.Cures;
import sparen.examined.ChargeCeiling;
import sparen.examined.PlanFacts;
import sparen.quantity.Bounds;

/** The most a controller may be set to, see {@link ChargeCeiling}, and what its arrays give against that. */
final class ChargeCurrentCeiling implements Calculator {
    @Override
    public Stream<Working> work(PlanFacts plan) {
        return plan.site().controllers().stream().map(controller -> {
            double ceiling = ChargeCeiling.amperes(plan, controller);
            double wire = controller.cable().mostAmperes().orElse(Double.POSITIVE_INFINITY);
            Working working = working(
                            "program/charging/" + controller.id() + "/details/maximumAmperes",
                            "Charge current ceiling of " + controller.name(),
                            ceiling,
                            "A")
                    .line(
                            ChargeCeiling.isByGuard(plan)
                                    ? "batteries together: %.0f A by their BMS"
                                    : "batteries: %.0f A (%.1f C, common practice; the maker's sheet decides)",
                            ChargeCeiling.ofBatteries(plan),
                            ChargeCeiling.usualShare(plan))
                    .line("its hardware: %.0f A", controller.maximumAmperes());
            working = wire == Double.POSITIVE_INFINITY ? working : working.line("its conductor and fuse: %.0f A", wire);
            double watts = plan.peakWatts(controller) * controller.efficiency();
            double lower = plan.charging(controller.id()).rechargeVolts();
            double upper = plan.charging(controller.id()).absorptionVolts();
            working = working.line(
                    "its arrays give %.0f W: %.2f A at %.1f V, %.2f A at %.1f V where charging begins",
                    watts, watts / upper, upper, watts / lower, lower);
            working = watts / lower <= ceiling
                    ? working
                    : working.line("clipped at %.1f V: %.0f W", lower, watts - ceiling * lower);
            return working.enters(
                    "current setting of " + controller.name() + " to " + Bounds.number(ceiling) + " A",
                    Cures.details(controller.id(), details -> details.withMaximumAmperes(Optional.of(ceiling))));
        });
    }
}
