package sparen.check;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Rule;
import sparen.program.rule.ChargingFinishedSignal;
import sparen.program.rule.FaultSignal;
import sparen.program.rule.FollowsOutput;
import sparen.program.rule.LowBatterySignal;
import sparen.program.rule.NotChargedSignal;

/** An output by rule that switches nothing of the site, and is no signal, was meant for something that is not connected to it here. */
final class DrivesNothing implements Check {
    private static final List<Class<? extends Rule>> SIGNALS =
            List.of(LowBatterySignal.class, FaultSignal.class, NotChargedSignal.class, ChargingFinishedSignal.class);

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.outputs().stream()
                .filter(output ->
                        output.mode() == Mode.BY_RULE && output.loads().isEmpty())
                .filter(output -> output.automatic()
                        .filter(rule -> SIGNALS.contains(rule.getClass()))
                        .isEmpty())
                .filter(output -> !isFollowed(plan, output))
                .map(output -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.NOTE,
                                output.id(),
                                "Its rule switches a contact to which nothing of the site is connected.")
                        .about("program/outputs/" + output.id() + "/loads"));
    }

    private static boolean isFollowed(PlanFacts plan, Output output) {
        return plan.rules()
                .anyMatch(placed -> placed.rule() instanceof FollowsOutput follows
                        && follows.output().equals(output.id()));
    }
}
