package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.Tolerance;
import sparen.program.Level;
import sparen.site.Bms;

/** A disconnect below the BMS leaves the work to the last line of defence, which drops the chargers too. */
final class DisconnectBelowBms implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double bms = plan.bank().batteries().stream()
                .flatMap(battery -> battery.bms().stream())
                .mapToDouble(Bms::lowVolts)
                .max()
                .orElse(0);
        return plan.levels(Level.Role.DISCONNECT, Level.Role.CUT_OFF)
                .filter(low -> plan.trueVolts(low) <= bms)
                .map(low -> Cures.level(
                        finding(
                                        Hazard.LOSS_OF_CONTROL,
                                        Severity.DANGER,
                                        low.output().id(),
                                        "The BMS opens before this acts: then everything is dark, the chargers too.")
                                .about(low.path())
                                .number(low.level().term(), plan.trueVolts(low), "V")
                                .number("BMS low voltage", bms, "V")
                                .sure(Tolerance.below(
                                        plan.trueVolts(low),
                                        Tolerance.METER * low.value(),
                                        bms + 2 * Tolerance.METER * bms,
                                        Tolerance.METER * bms)),
                        low,
                        bms * 1.05 + low.value() - plan.trueVolts(low)));
    }
}
