package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.DeviceClock;
import sparen.program.rule.ClockSchedule;
import sparen.program.rule.GeneratorStart;
import sparen.program.rule.InverterEnable;
import sparen.program.rule.SunAndClock;

/** A schedule on a clock that forgets the time at every power-down. */
final class VolatileClock implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.rules()
                .filter(placed -> placed.output()
                        .clock()
                        .map(DeviceClock::lostAtPowerDown)
                        .orElse(false))
                .filter(placed -> placed.rule() instanceof ClockSchedule
                        || placed.rule() instanceof InverterEnable
                        || placed.rule() instanceof SunAndClock
                        || placed.rule() instanceof GeneratorStart generator
                                && generator.quietHours().isPresent())
                .map(placed -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.CAUTION,
                                placed.output().id(),
                                "Its clock forgets the time when its supply fails: after that its hours are other hours.")
                        .about("program/outputs/" + placed.output().id() + "/clock"));
    }
}
