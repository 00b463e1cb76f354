package sparen.working;

import java.util.stream.Stream;
import sparen.check.Cures;
import sparen.examined.PlanFacts;
import sparen.program.ChargeDetails;
import sparen.program.ChargeProgram;
import sparen.quantity.Bounds;
import sparen.site.Chemistry;

/** Equalization lasts one half to two thirds of absorption; flooded batteries only. Common practice, no source. */
final class EqualizationTime implements Calculator {
    @Override
    public Stream<Working> work(PlanFacts plan) {
        return plan.bank().chemistry() != Chemistry.FLOODED
                ? Stream.empty()
                : plan.site().controllers().stream().map(controller -> {
                    ChargeProgram charging = plan.charging(controller.id());
                    double absorption = charging.absorptionSeconds() / 3600;
                    double hours = Math.round(absorption * 0.6 * 4) / 4.0;
                    Working working = working(
                                    "program/charging/" + controller.id() + "/details/equalization/seconds",
                                    "Equalization time of " + controller.name(),
                                    hours,
                                    "h")
                            .line(
                                    "absorption %.2f h × 1/2 … 2/3 = %.2f … %.2f h",
                                    absorption, absorption / 2, absorption * 2 / 3);
                    return charging.details()
                                    .flatMap(ChargeDetails::equalization)
                                    .isEmpty()
                            ? working
                            : working.enters(
                                    "equalization of " + controller.name() + " to " + Bounds.number(hours) + " h",
                                    Cures.details(
                                            controller.id(),
                                            details -> details.withEqualization(details.equalization()
                                                    .map(one -> new ChargeDetails.Equalization(
                                                            one.volts(),
                                                            hours * 3600,
                                                            one.everyDays(),
                                                            Math.max(one.giveUpSeconds(), hours * 3600),
                                                            one.sinceLastDays())))));
                });
    }
}
