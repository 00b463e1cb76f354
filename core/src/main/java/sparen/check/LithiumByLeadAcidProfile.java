package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** Temperature compensation and equalization belong to lead-acid; left on with lithium they overcharge it. */
final class LithiumByLeadAcidProfile implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        if (!plan.bank().chemistry().isLithium()) {
            return Stream.empty();
        }
        return plan.program().charging().stream()
                .filter(one -> one.details()
                        .map(details -> details.compensation().isPresent()
                                || details.equalization().isPresent())
                        .orElse(false))
                .map(one -> finding(
                                Hazard.OVER_CHARGE,
                                Severity.DANGER,
                                one.controller(),
                                "Compensation or equalization is left on from a lead-acid profile: in the cold, or when due,"
                                        + " it overcharges lithium cells.")
                        .about("program/charging/" + one.controller() + "/details")
                        .number("absorption", one.absorptionVolts(), "V")
                        .cure(
                                "compensation and equalization off",
                                Cures.details(one.controller(), details -> details.withCompensation(Optional.empty())
                                        .withEqualization(Optional.empty()))));
    }
}
