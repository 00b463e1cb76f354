package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.rule.VoltageDisconnect;
import sparen.quantity.Fields;

/** A delay of a disconnect that is so long, or so short beside a start surge, that seconds and minutes may have been mixed up. */
final class DelayOfAnotherUnit implements Check {
    private static final double LONG = 900;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.rules()
                .filter(placed -> placed.rule() instanceof VoltageDisconnect)
                .filter(placed -> ((VoltageDisconnect) placed.rule()).lvdDelaySeconds() > LONG)
                .map(placed -> finding(
                                Hazard.OVER_DISCHARGE,
                                Severity.CAUTION,
                                placed.output().id(),
                                "A disconnect that waits so long lets a heavy load pull the battery down. Minutes for"
                                        + " seconds?")
                        .about(PlanFacts.path(placed.output(), placed.slot(), "lvdDelaySeconds"))
                        .number("LVD delay", ((VoltageDisconnect) placed.rule()).lvdDelaySeconds(), "s")
                        .cure(
                                "divide by 60",
                                Cures.rule(
                                        placed,
                                        rule -> Fields.with(
                                                rule,
                                                "lvdDelaySeconds",
                                                ((VoltageDisconnect) rule).lvdDelaySeconds() / 60))));
    }
}
