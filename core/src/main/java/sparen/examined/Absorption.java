package sparen.examined;

import sparen.battery.BatteryModel;
import sparen.power.PlanningArithmetic;
import sparen.site.ChargeController;

/** How long absorption has to be at the current of its own source: one answer for the sum and for the check. */
public final class Absorption {
    /** No longer than this is set, whatever the sum says (h); common practice, no source. */
    public static final double MOST_HOURS = 4;

    private static final double RATED_HOURS = 20;

    private Absorption() {}

    /** The capacity over twenty hours (Ah), from what the bank states over its own hours. */
    public static double ampereHours20(PlanFacts plan) {
        return BatteryModel.ampereHours(plan.bank(), RATED_HOURS);
    }

    /** The current a controller charges with at its absorption voltage (A), no more than its setting and hardware let it give. */
    public static double amperes(PlanFacts plan, ChargeController controller) {
        return PlanningArithmetic.chargeAmperes(
                plan.peakWatts(controller),
                controller.efficiency(),
                plan.charging(controller.id()).absorptionVolts(),
                plan.limitAmperes(controller));
    }

    /** The sum as it comes out (h): 0.42 × C20 / I, see {@link PlanningArithmetic#absorptionHours}. */
    public static double hours(PlanFacts plan, ChargeController controller) {
        return PlanningArithmetic.absorptionHours(ampereHours20(plan), amperes(plan, controller));
    }

    /** What is set for it (h): up to the next quarter of an hour, {@value #MOST_HOURS} h at most. */
    public static double hoursToSet(PlanFacts plan, ChargeController controller) {
        return Math.min(MOST_HOURS, Math.ceil(hours(plan, controller) * 4 - 1e-9) / 4);
    }
}
