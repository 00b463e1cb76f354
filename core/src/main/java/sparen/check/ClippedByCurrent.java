package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
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
            double charging = (plan.site().nominalVolts() + plan.highestRegulation()) / 2;
            double needs = could / charging;
            double limit = plan.limitAmperes(controller);
            if (limit >= needs) {
                return Stream.empty();
            }
            boolean bySetting = limit < controller.maximumAmperes();
            double borne = plan.chargeAmperesBorne();
            Finding finding = finding(
                            Hazard.WASTE,
                            Severity.CAUTION,
                            controller.id(),
                            "Its current limit is below what its arrays give on a clear day: the rest is clipped."
                                    + (bySetting ? "" : " Its hardware cannot give more."))
                    .about("program/charging/" + controller.id() + "/details/maximumAmperes")
                    .number("limit", limit, "A")
                    .number("would not clip", needs, "A")
                    .number("array, usual best", could, "W");
            return Stream.of(
                    bySetting && controller.maximumAmperes() <= borne
                            ? finding.cure(
                                    "current setting to "
                                            + Bounds.number(Math.min(Math.ceil(needs), controller.maximumAmperes()))
                                            + " A",
                                    Cures.details(
                                            controller.id(),
                                            details -> details.withMaximumAmperes(Optional.of(
                                                    Math.min(Math.ceil(needs), controller.maximumAmperes())))))
                            : finding);
        });
    }
}
