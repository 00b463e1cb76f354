package sparen.handover;

import java.util.List;
import java.util.Optional;
import sparen.device.FittedDevice;
import sparen.program.Plan;

/**
 * A device and what stands in it.
 *
 * @param profile what kind of device it is
 * @param saving how its settings are saved
 * @param showing how one sees that they are
 * @param checksum of what is to be entered, as on its sheet (SHA-256, hexadecimal)
 * @param first when it was first read: as it was found; absent before anybody looked
 * @param readings how often it was read
 * @param entries of its menu, in their order
 */
public record DeviceHeld(
        String id,
        String name,
        String profile,
        String saving,
        String showing,
        String checksum,
        Optional<DeviceReading> first,
        int readings,
        List<ReadEntry> entries) {
    /**
     * What stands in a device.
     *
     * @param readings of it, the oldest first
     * @param checksum of {@link SettingsSheet#entered}
     */
    public static DeviceHeld of(Plan plan, FittedDevice device, List<DeviceReading> readings, String checksum) {
        return new DeviceHeld(
                device.id(),
                device.name(),
                device.profile().name(),
                device.profile().saving(),
                device.profile().showing(),
                checksum,
                readings.stream().findFirst(),
                readings.size(),
                DeviceComparison.of(plan, device, readings));
    }
}
