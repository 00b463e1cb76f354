package sparen.check;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.device.Firmware;
import sparen.device.FittedDevice;
import sparen.device.Shown;
import sparen.examined.PlanFacts;
import sparen.setting.Setting;

/** Settings of the plan that a device has only from a firmware on that is newer than its own, or that nobody has read yet. */
final class NewerFirmware implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.program().devices().stream()
                .flatMap(device -> found(
                        device,
                        plan.settings().stream()
                                .filter(one -> one.device().equals(device.id()) && isBeyond(device, one))
                                .toList())
                        .stream());
    }

    private static boolean isBeyond(FittedDevice device, Setting one) {
        return one.shown()
                .flatMap(Shown::fromFirmware)
                .filter(needed -> device.firmware().isEmpty()
                        || Firmware.isBefore(device.firmware().get(), needed))
                .isPresent();
    }

    private Optional<Finding> found(FittedDevice device, List<Setting> beyond) {
        return beyond.stream()
                .map(one -> one.shown().flatMap(Shown::fromFirmware).orElseThrow())
                .reduce((one, other) -> Firmware.isBefore(one, other) ? other : one)
                .map(needed -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                device.firmware().isPresent() ? Severity.CAUTION : Severity.NOTE,
                                device.id(),
                                device.firmware()
                                                .map(own -> "Its firmware is " + own + "; ")
                                                .orElse("Which firmware it has is not written down; ")
                                        + needed + " or newer is needed for: "
                                        + String.join(
                                                ", ",
                                                beyond.stream()
                                                        .map(Setting::label)
                                                        .distinct()
                                                        .toList())
                                        + ".")
                        .about("program/devices/" + device.id() + "/firmware"));
    }
}
