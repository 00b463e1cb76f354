package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** Float above absorption turns the stages round. Lithium may have both the same. */
final class FloatAboveAbsorption implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().charging().stream()
                .filter(one -> one.floatVolts() > one.absorptionVolts())
                .map(one -> finding(
                                Hazard.OVER_CHARGE,
                                Severity.DANGER,
                                one.controller(),
                                "Float is above absorption: after absorption the voltage rises, for good.")
                        .about("program/charging/" + one.controller() + "/floatVolts")
                        .number("float", one.floatVolts(), "V")
                        .number("absorption", one.absorptionVolts(), "V")
                        .cure(
                                "float to the absorption voltage",
                                Cures.charging(
                                        one.controller(),
                                        charging -> charging.withFloatVolts(charging.absorptionVolts()))));
    }
}
