package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.power.PlanningArithmetic;
import sparen.program.ChargeDetails;
import sparen.program.ChargeProgram;
import sparen.quantity.Bounds;

/** Each source has its own absorption time, by its own current. Lead-acid that never gets it never fills. */
final class AbsorptionTooShort implements Check {
    private static final double ENOUGH = 0.6;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        if (!plan.bank().chemistry().isLeadAcid()) {
            return Stream.empty();
        }
        return plan.site().controllers().stream().flatMap(controller -> {
            ChargeProgram charging = plan.charging(controller.id());
            double amperes = Math.min(
                    plan.limitAmperes(controller),
                    plan.peakWatts(controller) * 0.75 / plan.site().nominalVolts());
            double slowest = plan.bank().capacityAmpereHours() / 20;
            double hours = Math.min(
                    4,
                    PlanningArithmetic.absorptionHours(plan.bank().capacityAmpereHours(), Math.max(slowest, amperes)));
            boolean byTail = charging.details()
                    .flatMap(ChargeDetails::absorptionEnd)
                    .flatMap(end -> end.tailAmperes())
                    .isPresent();
            return byTail || charging.absorptionSeconds() >= ENOUGH * hours * 3600
                    ? Stream.empty()
                    : Stream.of(finding(
                                    Hazard.OVER_DISCHARGE,
                                    Severity.CAUTION,
                                    controller.id(),
                                    "At its current absorption is too short to fill the battery: it sulphates.")
                            .about("program/charging/" + controller.id() + "/absorptionSeconds")
                            .number("set", charging.absorptionSeconds() / 3600, "h")
                            .number("0.42 × C20 / I, 4 h at most", hours, "h", "common practice")
                            .number("its current", amperes, "A")
                            .cure(
                                    "absorption time " + Bounds.number(Math.round(hours * 4) / 4.0) + " h",
                                    Cures.charging(
                                            controller.id(),
                                            one -> one.withAbsorptionSeconds(Math.round(hours * 4) * 900.0))));
        });
    }
}
