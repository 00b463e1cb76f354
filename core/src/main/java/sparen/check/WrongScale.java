package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.PlanFacts.LevelOfOutput;
import sparen.program.Level;

/** Numbers of another bank voltage, typed in as they are. */
final class WrongScale implements Check {
    private static final double NEAR = 0.12;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double least = plan.bank().lowestVolts();
        double most = plan.bank().highestVolts();
        return plan.levels(Level.Role.values())
                .filter(placed -> !placed.level().role().percent())
                .filter(placed -> placed.value() < least * (1 - NEAR) || placed.value() > most * (1 + NEAR))
                .map(placed -> format(plan, placed, least, most));
    }

    private Finding format(PlanFacts plan, LevelOfOutput placed, double least, double most) {
        Finding finding = finding(
                        placed.level().role().disconnects() ? Hazard.OVER_DISCHARGE : Hazard.LOSS_OF_CONTROL,
                        Severity.DANGER,
                        placed.output().id(),
                        "This " + placed.level().term()
                                + " is far outside what the bank can have: a number of another bank" + " voltage?")
                .about(placed.path())
                .number(placed.level().term(), placed.value(), "V", plan.origin(placed.path()))
                .number("battery from", least, "V")
                .number("to", most, "V");
        for (double factor : new double[] {2, 4, 0.5, 0.25}) {
            double scaled = placed.value() * factor;
            if (scaled > least && scaled < most) {
                return Cures.level(finding, placed, scaled);
            }
        }
        return finding;
    }
}
