package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.Tolerance;
import sparen.program.Level;

/** A diversion above what any charger regulates to never acts. */
final class DiversionUnreachable implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double highest = plan.highestRegulation();
        if (highest == 0
                || !plan.site().sources().isEmpty()
                || !plan.site().dcSources().isEmpty()) {
            return Stream.empty();
        }
        return plan.levels(Level.Role.SURPLUS_ON)
                .filter(on -> plan.trueVolts(on) >= highest)
                .map(on -> Cures.level(
                        finding(
                                        Hazard.WASTE,
                                        Severity.CAUTION,
                                        on.output().id(),
                                        "The chargers hold the voltage below where it would begin to divert: the surplus is"
                                                + " thrown away.")
                                .about(on.path())
                                .number("diversion on", plan.trueVolts(on), "V", plan.origin(on.path()))
                                .number("highest regulation", highest, "V")
                                .sure(Tolerance.below(
                                        highest,
                                        Tolerance.METER * highest,
                                        plan.trueVolts(on) + Tolerance.METER * highest,
                                        Tolerance.METER * highest)),
                        on,
                        highest - 0.2 * plan.site().nominalVolts() / 12));
    }
}
