package sparen.program;

import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * The charging setpoints of one charger, whole-bank volts at its own terminals.
 *
 * @param controller id of the controller, or of the inverter for the charger in it
 * @param absorptionVolts held after bulk (V), 0 to 1000
 * @param absorptionSeconds time at absorption voltage; it pauses while the voltage is not reached (s), 0 to 86,400
 * @param floatVolts held after absorption (V), 0 to 1000
 * @param rechargeVolts at or below this a new cycle starts in bulk (V), 0 to 1000
 * @param rechargeDelaySeconds when it has stayed there so long (s), 0 to 86,400
 * @param details what only some chargers have
 */
public record ChargeProgram(
        String controller,
        double absorptionVolts,
        double absorptionSeconds,
        double floatVolts,
        double rechargeVolts,
        double rechargeDelaySeconds,
        Optional<ChargeDetails> details)
        implements ChargeProgramWith {
    public ChargeProgram {
        Bounds.id("controller", controller);
        Bounds.within("absorptionVolts", absorptionVolts, 0, 1000);
        Bounds.within("absorptionSeconds", absorptionSeconds, 0, 86_400);
        Bounds.within("floatVolts", floatVolts, 0, 1000);
        Bounds.within("rechargeVolts", rechargeVolts, 0, 1000);
        Bounds.within("rechargeDelaySeconds", rechargeDelaySeconds, 0, 86_400);
        details = Bounds.orEmpty(details);
    }

    /** Three plain stages. */
    public ChargeProgram(
            String controller,
            double absorptionVolts,
            double absorptionSeconds,
            double floatVolts,
            double rechargeVolts,
            double rechargeDelaySeconds) {
        this(
                controller,
                absorptionVolts,
                absorptionSeconds,
                floatVolts,
                rechargeVolts,
                rechargeDelaySeconds,
                Optional.empty());
    }
}
