package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** Regulation above what the battery's maker allows. */
final class RegulationAboveBattery implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double most = plan.bank().highestVolts();
        return plan.program().charging().stream()
                .filter(one -> Math.max(one.absorptionVolts(), one.floatVolts()) > most)
                .map(one -> finding(
                                Hazard.OVER_CHARGE,
                                Severity.DANGER,
                                one.controller(),
                                "It regulates to more than the battery's maker allows.")
                        .about("program/charging/" + one.controller() + "/absorptionVolts")
                        .number("regulation", Math.max(one.absorptionVolts(), one.floatVolts()), "V")
                        .number("battery's highest voltage", most, "V", plan.origin("site/battery/highestVolts"))
                        .cure(
                                "regulation to the battery's highest voltage",
                                Cures.charging(one.controller(), charging -> charging.withAbsorptionVolts(
                                                Math.min(most, charging.absorptionVolts()))
                                        .withFloatVolts(Math.min(most, charging.floatVolts())))));
    }
}
