package sparen.check;

import java.util.Optional;
import java.util.stream.Stream;
import sparen.device.FittedDevice;
import sparen.device.NotedValue;
import sparen.device.Shown.OnlyWhen;
import sparen.examined.PlanFacts;
import sparen.program.Plan;
import sparen.setting.DeviceSettings;
import sparen.setting.Setting;

/** Entries of a device that cannot be reached until something else is chosen in it: one finding for each thing that is to be chosen. */
final class HiddenUntilChosen implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().devices().stream().flatMap(device -> look(plan.asWanted(), device));
    }

    private Stream<Finding> look(Plan plan, FittedDevice device) {
        return DeviceSettings.of(plan).stream()
                .filter(one -> one.device().equals(device.id()) && one.hidden() && one.kind() != Setting.Kind.NOTED)
                .map(one -> one.shown().orElseThrow().onlyWhen().orElseThrow())
                .distinct()
                .map(when -> found(device, when, hidden(plan, device, when)));
    }

    private static String hidden(Plan plan, FittedDevice device, OnlyWhen when) {
        return String.join(
                ", ",
                DeviceSettings.of(plan).stream()
                        .filter(one -> one.device().equals(device.id()) && one.hidden())
                        .filter(one ->
                                one.shown().flatMap(shown -> shown.onlyWhen()).equals(Optional.of(when)))
                        .map(Setting::label)
                        .distinct()
                        .toList());
    }

    private Finding found(FittedDevice device, OnlyWhen when, String hidden) {
        String label = device.profile().knobs().stream()
                .filter(knob -> knob.key().equals(when.knob()))
                .map(knob -> knob.label())
                .findFirst()
                .orElseThrow();
        Finding finding = finding(
                        Hazard.LOSS_OF_CONTROL,
                        Severity.CAUTION,
                        device.id(),
                        "Hidden in its menu until " + label + " is " + when.is() + ": " + hidden + ".")
                .about("program/devices/" + device.id() + "/noted");
        return device.profile().noted(when.knob()).isEmpty()
                ? finding
                : finding.cure(
                        label + " of " + device.name() + " to " + when.is(), changed -> choose(changed, device, when));
    }

    private static Plan choose(Plan plan, FittedDevice device, OnlyWhen when) {
        NotedValue value = new NotedValue(when.knob(), when.is(), Optional.empty());
        return plan.withProgram(plan.program()
                .withDevices(plan.program().devices().stream()
                        .map(one -> one.id().equals(device.id()) ? one.noting(value) : one)
                        .toList()));
    }
}
