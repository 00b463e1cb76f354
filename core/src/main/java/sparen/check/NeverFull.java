package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.result.RunResult;

/** A lead-acid battery that is not full for weeks sulphates; a monitor that is never synchronised drifts. */
final class NeverFull implements RunCheck {
    private static final double LEAD_ACID_DAYS = 21;
    private static final double FULL = 0.97;

    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        int longest = 0;
        int running = 0;
        for (var day : run.days()) {
            running = day.highestStateOfCharge() >= FULL ? 0 : running + 1;
            longest = Math.max(longest, running);
        }
        return plan.bank().chemistry().isLeadAcid() && longest > LEAD_ACID_DAYS
                ? Stream.of(finding(
                                Hazard.OVER_DISCHARGE,
                                Severity.NOTE,
                                "",
                                "In the run the battery was not full for weeks: it sulphates.")
                        .number("days in a row", longest, "d"))
                : Stream.empty();
    }
}
