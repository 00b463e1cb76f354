package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.AcProgram;
import sparen.quantity.Bounds;
import sparen.site.Inverter;

/** An input limit above what a leg of the source gives trips its breaker or stalls it. */
final class AcInputLimit implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        if (plan.site().inverter().isEmpty() || plan.program().ac().isEmpty()) {
            return Stream.empty();
        }
        Inverter inverter = plan.site().inverter().get();
        AcProgram ac = plan.program().ac().get();
        double through =
                inverter.transfer().map(transfer -> transfer.maximumAmperes()).orElse(1000.0);
        return plan.site().acSources().stream()
                .filter(source -> ac.inputLimitAmperes() > source.legAmperes(inverter.acVolts()))
                .map(source -> {
                    double leg = source.legAmperes(inverter.acVolts());
                    double proposed = Math.floor(Math.min(leg, through) * 10) / 10;
                    return finding(
                                    Hazard.OVERLOAD,
                                    Severity.CAUTION,
                                    source.id(),
                                    "The input limit is above what one leg of it gives: charger and loads together overload"
                                            + " it.")
                            .about("program/ac/inputLimitAmperes")
                            .number("input limit", ac.inputLimitAmperes(), "A")
                            .number("a leg gives", leg, "A")
                            .cure(
                                    "input limit " + Bounds.number(ac.inputLimitAmperes()) + " A → "
                                            + Bounds.number(proposed) + " A",
                                    changed -> changed.withProgram(
                                            changed.program().withAc(Optional.of(ac.withInputLimitAmperes(proposed)))));
                });
    }
}
