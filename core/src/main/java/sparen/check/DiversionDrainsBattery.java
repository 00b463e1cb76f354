package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.PlanFacts.LevelOfOutput;
import sparen.program.ChargeProgram;
import sparen.program.Level;

/** A diversion that goes on below float takes from the battery and not from the surplus. */
final class DiversionDrainsBattery implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double lowestFloat = plan.program().charging().stream()
                .mapToDouble(ChargeProgram::floatVolts)
                .min()
                .orElse(0);
        double battery = plan.bank().lowestVolts();
        return plan.levels(Level.Role.SURPLUS_ON)
                .filter(on -> lowestFloat > 0 && diverts(plan, on) && plan.trueVolts(on) < restsFull(plan))
                .map(on -> Cures.level(
                        finding(
                                        Hazard.OVER_DISCHARGE,
                                        Severity.CAUTION,
                                        on.output().id(),
                                        "It begins to divert at a voltage the battery has at rest: it takes what the battery"
                                                + " needs, at night too.")
                                .about(on.path())
                                .number("diversion on", plan.trueVolts(on), "V")
                                .number("a full battery at rest", restsFull(plan), "V")
                                .number("lowest voltage of the battery", battery, "V"),
                        on,
                        Math.min(plan.highestRegulation() - 0.1, lowestFloat + 0.1)));
    }

    private static boolean diverts(PlanFacts plan, LevelOfOutput on) {
        return plan.site().loads().stream()
                .anyMatch(load -> load.diverts() && on.output().loads().contains(load.id()));
    }

    private static double restsFull(PlanFacts plan) {
        double[] curve = plan.battery().openCircuitVolts();
        return curve[curve.length - 1];
    }
}
