package sparen.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.ChargeDetails;
import sparen.program.Output;
import sparen.program.rule.ChargeInhibit;
import sparen.program.rule.FollowsOutput;

/** Lithium must not be charged below 0 °C; charging stops some degrees above, so that a failed heater leaves time. */
final class ColdCharge implements Check {
    private static final double PROPOSED_COLD = 4;
    private static final double PROPOSED_HOT = 45;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double cold = plan.coldestBatteryCelsius();
        if (!plan.bank().chemistry().isLithium() || cold > PROPOSED_COLD) {
            return Stream.empty();
        }
        boolean byBms = !plan.bank().batteries().isEmpty()
                && plan.bank().batteries().stream().allMatch(battery -> battery.bms()
                        .map(bms -> bms.chargeColdCelsius() >= 0)
                        .orElse(false));
        List<Output> inhibiting = inhibiting(plan);
        return plan.program().charging().stream()
                .filter(one -> one.details()
                        .flatMap(ChargeDetails::temperatureLimits)
                        .map(limits -> limits.coldCelsius() < 0)
                        .orElse(true))
                .filter(one ->
                        inhibiting.stream().noneMatch(output -> output.loads().contains(one.controller())))
                .map(one -> finding(
                                Hazard.COLD_OR_HOT_CHARGE,
                                byBms ? Severity.CAUTION : Severity.DANGER,
                                one.controller(),
                                byBms
                                        ? "Nothing but the BMS keeps it from charging a frozen battery: when that opens, the"
                                                + " controller is left without one."
                                        : "Nothing keeps it from charging a frozen battery.")
                        .about("program/charging/" + one.controller() + "/details/temperatureLimits")
                        .number("battery to be expected", cold, "°C")
                        .cure(
                                "charging stops at 4 °C and 45 °C",
                                Cures.details(
                                        one.controller(),
                                        details -> details.withTemperatureLimits(
                                                Optional.of(new ChargeDetails.TemperatureLimits(
                                                        PROPOSED_COLD, PROPOSED_HOT, 2))))));
    }

    /** Outputs that open when charging has to stop: by a rule of their own, or following one that does, to the end of the chain. */
    private static List<Output> inhibiting(PlanFacts plan) {
        List<Output> found = new ArrayList<>(plan.rules()
                .filter(placed -> placed.rule() instanceof ChargeInhibit)
                .map(PlanFacts.LevelOfOutput::output)
                .toList());
        for (int i = 0; i < found.size(); i++) {
            String followed = found.get(i).id();
            plan.rules()
                    .filter(placed -> placed.rule() instanceof FollowsOutput follows
                            && !follows.inverted()
                            && follows.output().equals(followed))
                    .map(PlanFacts.LevelOfOutput::output)
                    .filter(output -> !found.contains(output))
                    .toList()
                    .forEach(found::add);
        }
        return found;
    }
}
