package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.ChargeDetails;
import sparen.quantity.Standard;

/** In deep cold compensation lifts regulation above what the loads and the inverter bear. */
final class CompensationWithoutCeiling implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double bears = plan.site()
                .inverter()
                .map(inverter -> inverter.window().highShutdownVolts())
                .orElse(Double.POSITIVE_INFINITY);
        double cold = plan.coldestBatteryCelsius();
        return plan.program().charging().stream()
                .filter(one ->
                        one.details().flatMap(ChargeDetails::compensation).isPresent())
                .flatMap(one -> {
                    ChargeDetails.Compensation compensation =
                            one.details().flatMap(ChargeDetails::compensation).orElseThrow();
                    double lifted = compensation.volts(
                            one.absorptionVolts(),
                            plan.bank().cellsInSeries(),
                            Math.min(cold, Standard.BATTERY_CELSIUS));
                    return lifted < bears
                            ? Stream.empty()
                            : Stream.of(finding(
                                            Hazard.OVERLOAD,
                                            Severity.CAUTION,
                                            one.controller(),
                                            "In the cold compensation lifts absorption to where the inverter stops on"
                                                    + " over-voltage.")
                                    .about("program/charging/" + one.controller() + "/details/compensation")
                                    .number("absorption in the cold", lifted, "V")
                                    .number("inverter stops", bears, "V"));
                });
    }
}
