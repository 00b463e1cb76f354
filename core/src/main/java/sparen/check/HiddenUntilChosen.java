package sparen.check;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.device.FittedDevice;
import sparen.device.NotedValue;
import sparen.device.Shown;
import sparen.device.Shown.OnlyWhen;
import sparen.examined.PlanFacts;
import sparen.program.Plan;
import sparen.setting.Setting;

/** Entries of a device that cannot be reached until something else is chosen in it: one finding for each thing that is to be chosen. */
final class HiddenUntilChosen implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().devices().stream()
                .flatMap(device -> look(
                        device,
                        plan.settings().stream()
                                .filter(one -> one.device().equals(device.id()) && one.hidden())
                                .toList()));
    }

    private Stream<Finding> look(FittedDevice device, List<Setting> hidden) {
        return hidden.stream()
                .filter(one -> one.kind() != Setting.Kind.NOTED)
                .flatMap(one -> one.shown().flatMap(Shown::onlyWhen).stream())
                .distinct()
                .map(when -> found(device, when, labels(hidden, when)));
    }

    private static String labels(List<Setting> hidden, OnlyWhen when) {
        return String.join(
                ", ",
                hidden.stream()
                        .filter(one -> one.shown().flatMap(Shown::onlyWhen).equals(Optional.of(when)))
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
