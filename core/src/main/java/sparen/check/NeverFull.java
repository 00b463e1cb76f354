package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.quantity.Standard;
import sparen.result.RunResult;

/** A lead-acid battery that is not full for weeks sulphates; a monitor that is never synchronised drifts. */
final class NeverFull implements RunCheck {
    private static final double LEAD_ACID_DAYS = 21;
    /** So little short of full (fraction) a day is called neither full nor not full; judgement, no source. */
    private static final double SHORT = 0.03;

    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        int longest = 0;
        double highest = 0;
        int running = 0;
        double highestRunning = 0;
        for (var day : run.days()) {
            boolean full = day.highestStateOfCharge() >= Standard.FULL_CHARGE - SHORT;
            running = full ? 0 : running + 1;
            highestRunning = full ? 0 : Math.max(highestRunning, day.highestStateOfCharge());
            if (running > longest) {
                longest = running;
                highest = highestRunning;
            }
        }
        return plan.bank().chemistry().isLeadAcid() && longest > LEAD_ACID_DAYS
                ? Stream.of(finding(
                                Hazard.OVER_DISCHARGE,
                                Severity.NOTE,
                                "",
                                "In the run the battery was not full for weeks: it sulphates.")
                        .number("days in a row", longest, "d")
                        .number("highest in them", 100 * highest, "%")
                        .number("full from", 100 * Standard.FULL_CHARGE, "%"))
                : Stream.empty();
    }
}
