package sparen.examined;

import sparen.battery.BatteryModel;
import sparen.power.PlanningArithmetic;
import sparen.site.AcSource;
import sparen.site.ChargeController;
import sparen.site.Inverter;

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

    /**
     * The current an inverter's charger charges with on an AC source at its absorption voltage (A), no loads beside it: what the source
     * and the input limit bring through, no more than its setting and hardware let it give.
     */
    public static double amperes(PlanFacts plan, Inverter inverter, AcSource source) {
        Inverter.Charger charger = inverter.charger().orElseThrow();
        double limit = plan.charging(inverter.id())
                .details()
                .flatMap(details -> details.maximumAmperes())
                .orElse(Double.POSITIVE_INFINITY);
        return PlanningArithmetic.chargeAmperes(
                AcInlet.watts(plan, inverter, source),
                charger.efficiency(),
                plan.charging(inverter.id()).absorptionVolts(),
                Math.min(charger.maximumAmperes(), limit));
    }

    /** The sum as it comes out at a current (h): 0.42 × C20 / I, see {@link PlanningArithmetic#absorptionHours}. */
    public static double hours(PlanFacts plan, double amperes) {
        return PlanningArithmetic.absorptionHours(ampereHours20(plan), amperes);
    }

    /** What is set for a current (h): up to the next quarter of an hour, {@value #MOST_HOURS} h at most. */
    public static double hoursToSet(PlanFacts plan, double amperes) {
        return Math.min(MOST_HOURS, Math.ceil(hours(plan, amperes) * 4 - 1e-9) / 4);
    }

    /** What is set for a controller (h), by its own current. */
    public static double hoursToSet(PlanFacts plan, ChargeController controller) {
        return hoursToSet(plan, amperes(plan, controller));
    }
}
