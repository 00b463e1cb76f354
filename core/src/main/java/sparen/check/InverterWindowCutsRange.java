package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** A bank of unusual cell count can reach beyond the window in which the inverter works. */
final class InverterWindowCutsRange implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.site().inverter().stream()
                .filter(inverter -> plan.highestRegulation()
                                >= inverter.window().highShutdownVolts()
                        || inverter.window().lowShutdownVolts() > plan.bank().lowestVolts() * 1.15)
                .map(inverter -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.CAUTION,
                                inverter.id(),
                                "The inverter's voltage window cuts into the range the battery uses: it stops on a good"
                                        + " battery.")
                        .about("site/inverter/window")
                        .number("inverter from", inverter.window().lowShutdownVolts(), "V")
                        .number("to", inverter.window().highShutdownVolts(), "V")
                        .number("battery from", plan.bank().lowestVolts(), "V")
                        .number("charged to", plan.highestRegulation(), "V"));
    }
}
