package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.DeviceClock;

/** A schedule on a clock that forgets the time at every power-down. */
final class VolatileClock implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.rules()
                .filter(placed -> placed.output()
                        .clock()
                        .map(DeviceClock::lostAtPowerDown)
                        .orElse(false))
                .filter(placed -> placed.rule().goesByClock())
                .map(placed -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.CAUTION,
                                placed.output().id(),
                                "Its clock forgets the time when its supply fails: after that its hours are other hours.")
                        .about("program/outputs/" + placed.output().id() + "/clock"));
    }
}
