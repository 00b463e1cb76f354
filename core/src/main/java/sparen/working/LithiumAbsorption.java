package sparen.working;

import java.util.stream.Stream;
import sparen.check.Cures;
import sparen.examined.PlanFacts;
import sparen.quantity.Bounds;
import sparen.site.Chemistry;

/**
 * Absorption of lithium iron phosphate: {@value #MINUTES} min for each 100 Ah of one battery, a quarter of an hour to an hour, time for its
 * cells to level; or sooner, when the current has come down to a few percent of the bank. Common practice, no source.
 */
final class LithiumAbsorption implements Calculator {
    private static final double MINUTES = 15;
    private static final double LEAST = 15;
    private static final double MOST = 60;
    private static final double TAIL = 0.04;

    @Override
    public Stream<Working> work(PlanFacts plan) {
        Chemistry chemistry = plan.bank().chemistry();
        return chemistry.isLeadAcid() || chemistry == Chemistry.USER_TABLE
                ? Stream.empty()
                : Stream.concat(
                        plan.site().controllers().stream().map(one -> work(plan, one.id(), one.name())),
                        plan.site().inverter().filter(one -> one.charger().isPresent()).stream()
                                .map(one -> work(plan, one.id(), one.name())));
    }

    private Working work(PlanFacts plan, String charger, String name) {
        double ampereHours = plan.bank().batteries().stream()
                .mapToDouble(one -> one.capacityShare() * plan.bank().capacityAmpereHours())
                .max()
                .orElse(plan.bank().capacityAmpereHours());
        double minutes = Math.max(LEAST, Math.min(MOST, MINUTES * ampereHours / 100));
        return working(
                        "program/charging/" + charger + "/absorptionSeconds",
                        "Absorption time of " + name,
                        minutes,
                        "min")
                .line(
                        "%.0f min × %.0f Ah of one battery / 100 Ah = %.0f min",
                        MINUTES, ampereHours, MINUTES * ampereHours / 100)
                .line("%.0f to %.0f min: %.0f min (common practice)", LEAST, MOST, minutes)
                .line(
                        "or until %.0f %% of %.0f Ah = %.0f A flow, where an end by the current is set",
                        TAIL * 100,
                        plan.bank().capacityAmpereHours(),
                        TAIL * plan.bank().capacityAmpereHours())
                .enters(
                        "absorption time of " + name + " to " + Bounds.number(minutes) + " min",
                        Cures.charging(charger, one -> one.withAbsorptionSeconds(minutes * 60)));
    }
}
