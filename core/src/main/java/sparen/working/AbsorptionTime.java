package sparen.working;

import java.util.stream.Stream;
import sparen.check.Cures;
import sparen.examined.Absorption;
import sparen.examined.PlanFacts;
import sparen.quantity.Bounds;
import sparen.site.ChargeController;

/** Absorption time of lead-acid, see {@link Absorption}. Each source has its own. */
final class AbsorptionTime implements Calculator {
    @Override
    public Stream<Working> work(PlanFacts plan) {
        return plan.bank().chemistry().isLeadAcid()
                ? plan.site().controllers().stream().map(controller -> work(plan, controller))
                : Stream.empty();
    }

    private Working work(PlanFacts plan, ChargeController controller) {
        double capacity = Absorption.ampereHours20(plan);
        double amperes = Absorption.amperes(plan, controller);
        double taken = Absorption.hoursToSet(plan, controller);
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
                .line("0.42 × C20 %.0f Ah / %.1f A = %.2f h", capacity, amperes, Absorption.hours(plan, controller))
                .line("up to the next quarter, %.0f h at most: %.2f h (common practice)", Absorption.MOST_HOURS, taken)
                .enters(
                        "absorption time of " + controller.name() + " to " + Bounds.number(taken) + " h",
                        Cures.charging(controller.id(), one -> one.withAbsorptionSeconds(taken * 3600)));
    }
}
