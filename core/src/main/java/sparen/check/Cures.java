package sparen.check;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import sparen.examined.PlanFacts.LevelOfOutput;
import sparen.program.ChargeDetails;
import sparen.program.ChargeProgram;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;
import sparen.site.BatteryMonitor;

/** The changes that cures make. */
public final class Cures {
    private Cures() {}

    /** A cure that sets a level, rounded to a hundredth. */
    static Finding level(Finding finding, LevelOfOutput placed, double value) {
        double rounded = Math.round(value * 100) / 100.0;
        String unit = placed.level().role().percent() ? " %" : " V";
        return finding.cure(
                placed.level().term() + " of " + placed.output().name() + " " + Bounds.number(placed.value()) + unit
                        + " → " + Bounds.number(rounded) + unit,
                rule(placed, rule -> Fields.with(rule, placed.level().field(), rounded)));
    }

    /** The change of a rule where it stands. */
    public static UnaryOperator<Plan> rule(LevelOfOutput placed, UnaryOperator<Rule> change) {
        return output(
                placed.output().id(),
                output -> placed.slot().equals("automatic")
                        ? output.withAutomatic(output.automatic().map(change))
                        : output.withProtection(output.protection().map(change)));
    }

    /** The change of an output. */
    public static UnaryOperator<Plan> output(String id, UnaryOperator<Output> change) {
        return plan -> withProgram(
                plan,
                "outputs",
                plan.program().outputs().stream()
                        .map(output -> output.id().equals(id) ? change.apply(output) : output)
                        .toList());
    }

    /** The change of a charger's setpoints. */
    public static UnaryOperator<Plan> charging(String charger, UnaryOperator<ChargeProgram> change) {
        return plan -> withProgram(
                plan,
                "charging",
                plan.program().charging().stream()
                        .map(one -> one.controller().equals(charger) ? change.apply(one) : one)
                        .toList());
    }

    /** The change of a charger's details. */
    public static UnaryOperator<Plan> details(String charger, UnaryOperator<ChargeDetails> change) {
        return charging(
                charger,
                one -> one.withDetails(Optional.of(change.apply(one.details().orElse(ChargeDetails.NONE)))));
    }

    /** The change of a monitor's settings. */
    public static UnaryOperator<Plan> monitor(String id, UnaryOperator<BatteryMonitor> change) {
        return plan -> plan.withSite(plan.site()
                .withMonitors(plan.site().monitors().stream()
                        .map(one -> one.id().equals(id) ? change.apply(one) : one)
                        .toList()));
    }

    /** A plan with a component of its program changed. */
    public static Plan withProgram(Plan plan, String component, List<?> value) {
        return plan.withProgram(Fields.with(plan.program(), component, value));
    }
}
