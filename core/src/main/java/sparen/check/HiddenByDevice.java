package sparen.check;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.device.FittedDevice;
import sparen.examined.PlanFacts;
import sparen.program.Output;
import sparen.setting.DeviceSettings;

/** A rule that another rule in the same device hides, forces or overrides: it stands there and does nothing. */
final class HiddenByDevice implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().devices().stream().flatMap(device -> look(plan, device));
    }

    private Stream<Finding> look(PlanFacts plan, FittedDevice device) {
        List<Output> carried = plan.outputs().stream()
                .filter(output -> device.outputs().contains(output.id()))
                .toList();
        return device.profile().hidings().stream()
                .filter(hiding -> carried.stream().anyMatch(output -> has(output, hiding.rule())))
                .flatMap(hiding -> carried.stream()
                        .filter(output -> has(output, hiding.hides()))
                        .map(output -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.DANGER,
                                output.id(),
                                "In " + device.name() + " this rule has no effect: " + hiding.says() + ".")));
    }

    private static boolean has(Output output, String kind) {
        return Stream.of(output.automatic(), output.protection())
                .flatMap(Optional::stream)
                .anyMatch(rule -> DeviceSettings.kind(rule).name().equals(kind));
    }
}
