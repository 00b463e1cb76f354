package sparen.program;

import sparen.quantity.Bounds;

/**
 * The charging setpoints of one controller, whole-bank volts at its own terminals.
 *
 * @param controller id of the controller
 * @param absorptionVolts held after bulk (V), 0 to 1000
 * @param absorptionSeconds time at absorption voltage; it pauses while the sun does not reach it (s), 0 to 86,400
 * @param floatVolts held after absorption (V), 0 to 1000
 * @param rechargeVolts at or below this a new cycle starts in bulk (V), 0 to 1000
 * @param rechargeDelaySeconds when it has stayed there so long (s), 0 to 86,400
 */
public record ChargeProgram(
        String controller,
        double absorptionVolts,
        double absorptionSeconds,
        double floatVolts,
        double rechargeVolts,
        double rechargeDelaySeconds) {
    public ChargeProgram {
        Bounds.id("controller", controller);
        Bounds.within("absorptionVolts", absorptionVolts, "V", 0, 1000);
        Bounds.within("absorptionSeconds", absorptionSeconds, "s", 0, 86_400);
        Bounds.within("floatVolts", floatVolts, "V", 0, 1000);
        Bounds.within("rechargeVolts", rechargeVolts, "V", 0, 1000);
        Bounds.within("rechargeDelaySeconds", rechargeDelaySeconds, "s", 0, 86_400);
    }
}
