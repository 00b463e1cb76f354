package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.ChargeCeiling;
import sparen.examined.PlanFacts;
import sparen.quantity.Bounds;

/** A current limit below what the array gives throws sun away all day. */
final class ClippedByCurrent implements Check {
    /** An array seldom gives more than this part of its rating; common practice, no source. */
    private static final double SELDOM_MORE = 0.85;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.site().controllers().stream().filter(one -> !one.pulses()).flatMap(controller -> {
            double could = plan.peakWatts(controller) * SELDOM_MORE * controller.efficiency();
            double lower = plan.charging(controller.id()).rechargeVolts();
            double upper = plan.charging(controller.id()).absorptionVolts();
            double limit = plan.limitAmperes(controller);
            if (limit >= could / ((lower + upper) / 2)) {
                return Stream.empty();
            }
            boolean bySetting = limit < controller.maximumAmperes();
            double wanted = Math.min(Math.ceil(could / lower), ChargeCeiling.amperes(plan, controller));
            Finding finding = finding(
                            Hazard.WASTE,
                            Severity.CAUTION,
                            controller.id(),
                            "Its current limit is below what its arrays give on a clear day: the rest is clipped."
                                    + (bySetting ? "" : " Its hardware cannot give more."))
                    .about("program/charging/" + controller.id() + "/details/maximumAmperes")
                    .number("limit", limit, "A")
                    .number("array, usual best", could, "W")
                    .number("that is at " + Bounds.number(upper) + " V", could / upper, "A")
                    .number("and at " + Bounds.number(lower) + " V, where charging begins", could / lower, "A");
            if (wanted < could / lower) {
                finding = finding.number(
                        "clipped at " + Bounds.number(lower) + " V even with " + Bounds.number(wanted) + " A",
                        could - wanted * lower,
                        "W");
            }
            return Stream.of(
                    bySetting && wanted > limit
                            ? finding.cure(
                                    "current setting to " + Bounds.number(wanted) + " A",
                                    Cures.details(
                                            controller.id(),
                                            details -> details.withMaximumAmperes(Optional.of(wanted))))
                            : finding);
        });
    }
}
