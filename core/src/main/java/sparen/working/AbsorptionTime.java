package sparen.working;

import java.util.stream.Stream;
import sparen.check.Cures;
import sparen.examined.PlanFacts;
import sparen.power.PlanningArithmetic;
import sparen.quantity.Bounds;
import sparen.site.ChargeController;

/** Absorption time of lead-acid: 0.42 × C20 / I, four hours at most; see {@link PlanningArithmetic#absorptionHours}. Each source has its own. */
final class AbsorptionTime implements Calculator {
    static final double MOST_HOURS = 4;

    @Override
    public Stream<Working> work(PlanFacts plan) {
        return plan.bank().chemistry().isLeadAcid()
                ? plan.site().controllers().stream().map(controller -> work(plan, controller))
                : Stream.empty();
    }

    private Working work(PlanFacts plan, ChargeController controller) {
        double capacity = plan.bank().capacityAmpereHours();
        double amperes = plan.absorptionAmperes(controller);
        double hours = PlanningArithmetic.absorptionHours(capacity, amperes);
        double taken = quarters(hours);
        return working(
                        "program/charging/" + controller.id() + "/absorptionSeconds",
                        "Absorption time of " + controller.name(),
                        taken,
                        "h")
                .line(
                        "I = min(%.0f A limit, %.0f W × %.2f / %.1f V in absorption) = %.1f A",
                        plan.limitAmperes(controller),
                        plan.peakWatts(controller),
                        controller.efficiency(),
                        plan.charging(controller.id()).absorptionVolts(),
                        amperes)
                .line("0.42 × C20 %.0f Ah / %.1f A = %.2f h", capacity, amperes, hours)
                .line("up to the next quarter, at most %.0f h: %.2f h (common practice)", MOST_HOURS, taken)
                .enters(
                        "absorption time of " + controller.name() + " to " + Bounds.number(taken) + " h",
                        Cures.charging(controller.id(), one -> one.withAbsorptionSeconds(taken * 3600)));
    }

    /** Up to the next quarter of an hour, four hours at most (h). */
    private static double quarters(double hours) {
        return Math.min(MOST_HOURS, Math.ceil(hours * 4 - 1e-9) / 4);
    }
}
