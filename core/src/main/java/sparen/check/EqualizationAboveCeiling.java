package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.ChargeDetails;
import sparen.program.ChargeDetails.Equalization;
import sparen.quantity.Bounds;

/** An equalization above the ceiling of the temperature compensation is held down to it and never reaches its voltage. */
final class EqualizationAboveCeiling implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().charging().stream().flatMap(charging -> {
            ChargeDetails details = charging.details().orElse(ChargeDetails.NONE);
            return details.equalization().stream().flatMap(equalization -> details.compensation().stream()
                    .filter(compensation -> compensation.ceilingVolts() < equalization.volts())
                    .map(compensation -> finding(
                                    Hazard.OVER_DISCHARGE,
                                    Severity.CAUTION,
                                    charging.controller(),
                                    "It equalizes above its own ceiling: the ceiling holds it down, and the cells stay uneven.")
                            .about("program/charging/" + charging.controller() + "/details/equalization/volts")
                            .number("equalization", equalization.volts(), "V")
                            .number("ceiling", compensation.ceilingVolts(), "V")
                            .cure(
                                    "equalization to " + Bounds.number(compensation.ceilingVolts()) + " V",
                                    Cures.details(
                                            charging.controller(),
                                            one -> one.withEqualization(one.equalization()
                                                    .map(set -> new Equalization(
                                                            compensation.ceilingVolts(),
                                                            set.seconds(),
                                                            set.everyDays(),
                                                            set.giveUpSeconds(),
                                                            set.sinceLastDays())))))));
        });
    }
}
