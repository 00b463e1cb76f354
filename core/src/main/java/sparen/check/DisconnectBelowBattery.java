package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.Tolerance;
import sparen.program.Level;

/** LVD below the battery's own lowest voltage: the disconnect comes too late to protect it. */
final class DisconnectBelowBattery implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double lowest = plan.bank().lowestVolts();
        return plan.levels(Level.Role.DISCONNECT, Level.Role.CUT_OFF)
                .filter(low -> plan.trueVolts(low) < lowest)
                .map(low -> Cures.level(
                        finding(
                                        Hazard.OVER_DISCHARGE,
                                        Severity.DANGER,
                                        low.output().id(),
                                        "The " + low.level().term()
                                                + " is below the lowest voltage the battery's maker allows: the load is cut"
                                                + " too late.")
                                .about(low.path())
                                .number(
                                        low.level().term() + ", without the sense point's offset",
                                        plan.trueVolts(low),
                                        "V",
                                        plan.origin(low.path()))
                                .number(
                                        "battery's lowest voltage",
                                        lowest,
                                        "V",
                                        plan.origin("site/battery/lowestVolts"))
                                .sure(Tolerance.below(plan.trueVolts(low), Tolerance.METER * low.value(), lowest, 0)),
                        low,
                        lowest * 1.03 + low.value() - plan.trueVolts(low)));
    }
}
