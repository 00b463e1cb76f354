package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.ChargeDetails;

/** Compensation without a sensor at the battery goes by the air of the room, or by a fixed number. */
final class CompensationWithoutSensor implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().charging().stream()
                .filter(one -> one.details()
                        .flatMap(ChargeDetails::compensation)
                        .map(compensation -> !compensation.sensorAtBattery().orElse(true))
                        .orElse(false))
                .map(one -> finding(
                                Hazard.OVER_CHARGE,
                                Severity.CAUTION,
                                one.controller(),
                                "It compensates by a temperature that is not the battery's: a warm battery in a cold room is"
                                        + " overcharged.")
                        .about("program/charging/" + one.controller() + "/details/compensation/sensorAtBattery"));
    }
}
