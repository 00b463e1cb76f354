package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.rule.SocDisconnect;
import sparen.quantity.Fields;

/** A monitor can be wrong; a disconnect that trusts it alone lets the battery die by a wrong count. */
final class SocWithoutBackstop implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.rules()
                .filter(placed -> placed.rule() instanceof SocDisconnect soc && soc.backstopVolts() == 0)
                .map(placed -> finding(
                                Hazard.OVER_DISCHARGE,
                                Severity.CAUTION,
                                placed.output().id(),
                                "Nothing but the monitor's count protects the battery: a count that drifts lets it run"
                                        + " empty.")
                        .about(PlanFacts.path(placed.output(), placed.slot(), "backstopVolts"))
                        .number("voltage backstop", 0, "V")
                        .cure(
                                "a voltage backstop 3 % above the battery's lowest voltage",
                                Cures.rule(
                                        placed,
                                        rule -> Fields.with(
                                                rule,
                                                "backstopVolts",
                                                Math.round(plan.bank().lowestVolts() * 10.3) / 10.0))));
    }
}
