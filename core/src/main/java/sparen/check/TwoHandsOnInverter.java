package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.AcProgram;
import sparen.program.rule.ClockSchedule;
import sparen.program.rule.InverterEnable;
import sparen.program.rule.SourceTransfer;
import sparen.site.Inverter;

/** A schedule or a transfer by an output beside windows or priorities of the inverter itself: two hands on one wheel. */
final class TwoHandsOnInverter implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        Optional<AcProgram> ac = plan.program().ac();
        boolean byItself =
                ac.map(one -> !one.windows().isEmpty() || one.goesByBattery()).orElse(false);
        String inverter = plan.site().inverter().map(Inverter::id).orElse("");
        return plan.rules()
                .filter(placed -> byItself && placed.output().loads().contains(inverter))
                .filter(placed -> placed.rule() instanceof ClockSchedule
                        || placed.rule() instanceof InverterEnable
                        || placed.rule() instanceof SourceTransfer)
                .map(placed -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.CAUTION,
                                placed.output().id(),
                                "The inverter has windows or priorities of its own beside this: each undoes what the other"
                                        + " does.")
                        .about("program/outputs/" + placed.output().id() + "/" + placed.slot()));
    }
}
