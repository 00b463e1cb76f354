package sparen.question;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import sparen.device.FittedDevice;
import sparen.handover.DeviceComparison;
import sparen.handover.DeviceHeld;
import sparen.handover.DeviceReading;
import sparen.handover.DeviceReading.ReadValue;
import sparen.handover.SettingsSheet;
import sparen.program.Plan;
import sparen.quantity.Bounds;

/**
 * Devices that were read off since, or whose plan has changed.
 *
 * @param plan as it is now
 * @param readings of each device by its id, the oldest first
 */
public record HandoverRequest(Plan plan, Map<String, List<ReadOff>> readings) {
    public HandoverRequest {
        Bounds.present("plan", plan);
        readings = Bounds.ordered(Bounds.present("readings", readings));
    }

    /**
     * What was read off a device at one time.
     *
     * @param values as they are kept; none where what was read is only said yet
     * @param said what stands at some of its entries, by their places; none where it is kept
     */
    public record ReadOff(Instant at, String by, Map<String, ReadValue> values, Map<String, String> said) {
        public ReadOff {
            values = Bounds.ordered(values);
            said = Bounds.ordered(said);
        }

        private DeviceReading in(Plan plan, FittedDevice device) {
            return new DeviceReading(at, by, said.isEmpty() ? values : DeviceComparison.taken(plan, device, said));
        }
    }

    /**
     * What stands in the devices.
     *
     * @param devices without their checksums
     * @param entered what is to be entered into each by its id, of which its checksum is
     * @param readings of each by its id, the oldest first
     */
    public record HandoverSays(
            List<DeviceHeld> devices, Map<String, String> entered, Map<String, List<DeviceReading>> readings) {}

    /** What stands in them now. */
    public HandoverSays says() {
        Map<String, List<DeviceReading>> read = new LinkedHashMap<>();
        Map<String, String> entered = new LinkedHashMap<>();
        for (FittedDevice device : plan.program().devices()) {
            entered.put(device.id(), SettingsSheet.entered(plan, device));
            read.put(
                    device.id(),
                    readings.getOrDefault(device.id(), List.of()).stream()
                            .map(one -> one.in(plan, device))
                            .toList());
        }
        return new HandoverSays(
                plan.program().devices().stream()
                        .map(device -> DeviceHeld.of(plan, device, read.get(device.id()), ""))
                        .toList(),
                entered,
                read);
    }
}
