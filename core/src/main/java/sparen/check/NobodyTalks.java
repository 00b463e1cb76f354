package sparen.check;

import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.ChargeDetails;
import sparen.program.ChargeProgram;
import sparen.site.ParallelBattery;

/** A battery that shuts down when nobody talks to it needs a charger that does, and one that no contact takes away. */
final class NobodyTalks implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        Set<String> talkers = plan.program().charging().stream()
                .filter(one -> one.details().flatMap(ChargeDetails::bms).isPresent())
                .map(ChargeProgram::controller)
                .collect(Collectors.toSet());
        boolean isSwitched = plan.program().outputs().stream()
                .flatMap(output -> output.loads().stream())
                .collect(Collectors.toSet())
                .containsAll(talkers);
        return plan.site().battery().batteries().stream()
                .filter(one -> one.bms().flatMap(bms -> bms.keepAliveSeconds()).isPresent())
                .filter(one -> isSwitched)
                .map(one -> of(one, talkers.isEmpty()));
    }

    private Finding of(ParallelBattery battery, boolean isSilent) {
        double seconds = battery.bms().orElseThrow().keepAliveSeconds().orElseThrow();
        String wait = String.format(Locale.ROOT, "%.0f s", seconds);
        return finding(
                        Hazard.LOSS_OF_CONTROL,
                        isSilent ? Severity.DANGER : Severity.CAUTION,
                        battery.id(),
                        isSilent
                                ? battery.name() + " shuts down when nobody talks to it for " + wait
                                        + ", and no charger here goes by what it asks for: everything goes dead."
                                : battery.name() + " shuts down when nobody talks to it for " + wait
                                        + ", and every charger that does hangs on an output: when that opens, everything goes dead.")
                .about("site/battery/batteries/" + battery.id() + "/bms/keepAliveSeconds")
                .number("shuts down after", seconds, "s");
    }
}
