package sparen.examined;

import java.util.function.UnaryOperator;
import sparen.program.Plan;

/**
 * A change of the plan that clears a finding.
 *
 * @param says what it does, such as "LVR 12.2 V → 12.8 V"
 * @param change the plan with it
 */
public record Cure(String says, UnaryOperator<Plan> change) {}
