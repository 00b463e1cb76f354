package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.ChargeDetails;

/** A recharge level at or above float starts a new cycle as soon as float is reached. Where nothing is held after absorption there is no float. */
final class RechargeAboveFloat implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().charging().stream()
                .filter(one ->
                        one.details().flatMap(ChargeDetails::afterAbsorption).orElse(ChargeDetails.After.FLOAT)
                                == ChargeDetails.After.FLOAT)
                .filter(one -> one.details().flatMap(ChargeDetails::resumeVolts).isEmpty())
                .filter(one -> one.rechargeVolts() >= one.floatVolts())
                .map(one -> finding(
                                Hazard.OVER_CHARGE,
                                Severity.DANGER,
                                one.controller(),
                                "The recharge level is not below float: in float a new cycle begins at once, and absorption"
                                        + " never ends.")
                        .about("program/charging/" + one.controller() + "/rechargeVolts")
                        .number("recharge", one.rechargeVolts(), "V")
                        .number("float", one.floatVolts(), "V")
                        .cure(
                                "recharge level 4 % below float",
                                Cures.charging(
                                        one.controller(),
                                        charging -> charging.withRechargeVolts(
                                                Math.round(charging.floatVolts() * 96) / 100.0))));
    }
}
