package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.ChargeDetails;
import sparen.program.ChargeDetails.OverVoltage;
import sparen.program.ChargeProgram;
import sparen.quantity.Bounds;

/** A second line against over-voltage has to stop charging before a lithium battery's own guard opens, or it never acts. */
final class OverVoltageTooHigh implements Check {
    /** The release stays so far below the stop (V for each 12 V). */
    private static final double BELOW = 0.1;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        if (!plan.bank().chemistry().isLithium()) {
            return Stream.empty();
        }
        double guard = plan.bank().batteries().stream()
                .flatMap(battery -> battery.bms().stream())
                .mapToDouble(bms -> bms.highVolts())
                .min()
                .orElse(plan.bank().highestVolts());
        return plan.program().charging().stream()
                .filter(charging ->
                        stop(charging).filter(volts -> volts >= guard).isPresent())
                .map(charging -> finding(plan, charging, guard));
    }

    private static Optional<Double> stop(ChargeProgram charging) {
        return charging.details().flatMap(ChargeDetails::overVoltage).map(OverVoltage::stopVolts);
    }

    private Finding finding(PlanFacts plan, ChargeProgram charging, double guard) {
        Finding finding = finding(
                        Hazard.LOSS_OF_CONTROL,
                        Severity.CAUTION,
                        charging.controller(),
                        "Its over-voltage stop is not below what the battery's own guard opens at: the guard acts first, and"
                                + " the charger is left without a battery.")
                .about("program/charging/" + charging.controller() + "/details/overVoltage/stopVolts")
                .number("stop", stop(charging).orElseThrow(), "V")
                .number("the battery's guard", guard, "V");
        double between = Math.round((charging.absorptionVolts() + guard) / 2 * 10) / 10.0;
        if (between <= charging.absorptionVolts() || between >= guard) {
            return finding;
        }
        double below = BELOW * plan.site().nominalVolts() / 12;
        return finding.cure(
                "over-voltage stop to " + Bounds.number(between) + " V, between absorption and that",
                Cures.details(
                        charging.controller(),
                        details -> details.withOverVoltage(details.overVoltage()
                                .map(set -> new OverVoltage(between, Math.min(set.releaseVolts(), between - below))))));
    }
}
