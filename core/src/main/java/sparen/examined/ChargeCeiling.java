package sparen.examined;

import sparen.site.ChargeController;

/** The most a controller may be set to: what the batteries bear, its conductor and fuse, and its hardware; one answer for sum and check. */
public final class ChargeCeiling {
    private ChargeCeiling() {}

    /** Whether each battery's own guard says what it bears; else what is usual for the chemistry counts. */
    public static boolean isByGuard(PlanFacts plan) {
        return plan.chargeAmperesBorne() < Double.POSITIVE_INFINITY;
    }

    /** What is usual for the chemistry, in parts of the capacity an hour (1/h); common practice, no source, the maker's sheet decides. */
    public static double usualShare(PlanFacts plan) {
        return plan.bank().chemistry().isLithium() ? 0.5 : 0.2;
    }

    /** What the batteries bear together (A). */
    public static double ofBatteries(PlanFacts plan) {
        return isByGuard(plan)
                ? plan.chargeAmperesBorne()
                : usualShare(plan) * plan.bank().capacityAmpereHours();
    }

    /** The most for a controller, to the whole ampere below (A). */
    public static double amperes(PlanFacts plan, ChargeController controller) {
        double wire = controller.cable().mostAmperes().orElse(Double.POSITIVE_INFINITY);
        return Math.floor(Math.min(Math.min(ofBatteries(plan), wire), controller.maximumAmperes()));
    }
}
