package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.ChargeDetails;

/** When the batteries fall silent a charger that holds its last value charges blindly. */
final class TalkStopsUnguarded implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().charging().stream()
                .filter(one -> one.details()
                        .flatMap(ChargeDetails::bms)
                        .map(bms -> bms.whenTalkStops() == ChargeDetails.BmsRequests.WhenTalkStops.HOLD)
                        .orElse(false))
                .map(one -> finding(
                                Hazard.OVER_CHARGE,
                                Severity.CAUTION,
                                one.controller(),
                                "When the batteries' line falls silent it goes on with the last voltage it was asked for,"
                                        + " for ever.")
                        .about("program/charging/" + one.controller() + "/details/bms/whenTalkStops")
                        .cure(
                                "charge by its own setpoints when the line is silent",
                                Cures.details(
                                        one.controller(),
                                        details -> details.withBms(details.bms()
                                                .map(bms -> bms.withWhenTalkStops(
                                                        ChargeDetails.BmsRequests.WhenTalkStops.OWN_SETTINGS))))));
    }
}
