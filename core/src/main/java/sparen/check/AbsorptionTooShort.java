package sparen.check;

import java.util.stream.Stream;
import sparen.examined.Absorption;
import sparen.examined.PlanFacts;
import sparen.program.ChargeDetails;
import sparen.program.ChargeProgram;
import sparen.quantity.Bounds;
import sparen.site.ChargeController;

/** Each source has its own absorption time, by its own current. Lead-acid that never gets it never fills. */
final class AbsorptionTooShort implements Check {
    private static final double ENOUGH = 0.6;
    /** Where a tail current ends it the time is only its end at the latest; yet far too short a one ends it first. */
    private static final double ENOUGH_WITH_TAIL = 0.3;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.bank().chemistry().isLeadAcid()
                ? plan.site().controllers().stream()
                        .filter(controller -> isShort(plan, controller))
                        .map(controller -> finding(plan, controller))
                : Stream.empty();
    }

    private static boolean isShort(PlanFacts plan, ChargeController controller) {
        ChargeProgram charging = plan.charging(controller.id());
        boolean byTail = charging.details()
                .flatMap(ChargeDetails::absorptionEnd)
                .flatMap(end -> end.tailAmperes())
                .isPresent();
        double enough = (byTail ? ENOUGH_WITH_TAIL : ENOUGH) * Absorption.hoursToSet(plan, controller);
        return charging.absorptionSeconds() < enough * 3600;
    }

    private Finding finding(PlanFacts plan, ChargeController controller) {
        double hours = Absorption.hoursToSet(plan, controller);
        return finding(
                        Hazard.OVER_DISCHARGE,
                        Severity.CAUTION,
                        controller.id(),
                        "At its current absorption is too short to fill the battery: it sulphates.")
                .about("program/charging/" + controller.id() + "/absorptionSeconds")
                .number("set", plan.charging(controller.id()).absorptionSeconds() / 3600, "h")
                .number("0.42 × C20 / I, 4 h at most", hours, "h", "common practice")
                .number("its current in absorption", Absorption.amperes(plan, controller), "A")
                .cure(
                        "absorption time " + Bounds.number(hours) + " h",
                        Cures.charging(controller.id(), one -> one.withAbsorptionSeconds(hours * 3600)));
    }
}
