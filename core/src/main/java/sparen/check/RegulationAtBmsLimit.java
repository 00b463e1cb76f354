package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.site.Bms;

/** Regulation at or above where the BMS opens its charge path: every full charge ends in a trip. */
final class RegulationAtBmsLimit implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double opens = plan.bank().batteries().stream()
                .flatMap(battery -> battery.bms().stream())
                .mapToDouble(Bms::highVolts)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
        return plan.program().charging().stream()
                .filter(one -> one.absorptionVolts() >= opens)
                .map(one -> finding(
                                Hazard.OVER_CHARGE,
                                Severity.DANGER,
                                one.controller(),
                                "It regulates to where the BMS opens: every full charge ends with a live controller and no"
                                        + " battery.")
                        .about("program/charging/" + one.controller() + "/absorptionVolts")
                        .number("absorption", one.absorptionVolts(), "V")
                        .number("BMS opens", opens, "V")
                        .cure(
                                "absorption 3 % below",
                                Cures.charging(
                                        one.controller(),
                                        charging -> charging.withAbsorptionVolts(Math.round(opens * 97) / 100.0))));
    }
}
