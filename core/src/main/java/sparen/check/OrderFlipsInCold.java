package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.PlanFacts.LevelOfOutput;
import sparen.program.Level;
import sparen.quantity.Standard;

/** Where some levels move with temperature and some do not, their order can turn round in the cold. */
final class OrderFlipsInCold implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double cold = plan.coldestBatteryCelsius();
        return plan.levels(Level.Role.values())
                .filter(low ->
                        !low.level().role().percent() && low.level().role().disconnects())
                .flatMap(low -> plan.levels(Level.Role.WARNING, Level.Role.TRANSFER_TO_AC)
                        .filter(high -> high.level().millivoltsPerKelvin()
                                != low.level().millivoltsPerKelvin())
                        .filter(high -> plan.trueVolts(high) > plan.trueVolts(low)
                                && at(plan, high, cold) <= at(plan, low, cold))
                        .map(high -> finding(
                                        Hazard.LOSS_OF_CONTROL,
                                        Severity.CAUTION,
                                        high.output().id(),
                                        "In the cold the " + low.level().term() + " of "
                                                + low.output().name()
                                                + " rises past this, which does not move with it: the order turns round.")
                                .about(high.path())
                                .number(high.level().term() + " in the cold", at(plan, high, cold), "V")
                                .number(low.level().term() + " in the cold", at(plan, low, cold), "V")
                                .number("battery", cold, "°C")));
    }

    private static double at(PlanFacts plan, LevelOfOutput placed, double celsius) {
        return plan.trueVolts(placed)
                + placed.level().millivoltsPerKelvin()
                        / 1000
                        * plan.bank().cellsInSeries()
                        * (celsius - Standard.BATTERY_CELSIUS);
    }
}
