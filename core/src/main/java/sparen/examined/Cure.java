package sparen.examined;

import java.util.function.UnaryOperator;
import sparen.program.Plan;
import sparen.setting.DeviceSettings;

/**
 * A change of the plan that clears a finding.
 *
 * @param says what it does, such as "LVR 12.2 V → 12.8 V"
 * @param change the plan with it
 */
public record Cure(String says, UnaryOperator<Plan> change) {
    /** The plan with it, each number that it changes on a step of the device that carries it. */
    public Plan apply(Plan plan) {
        return DeviceSettings.onSteps(plan, change.apply(plan));
    }
}
