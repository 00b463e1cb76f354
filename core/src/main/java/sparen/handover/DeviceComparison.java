package sparen.handover;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import sparen.device.FittedDevice;
import sparen.handover.DeviceReading.ReadValue;
import sparen.handover.ReadEntry.Agreement;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.setting.DeviceSettings;
import sparen.setting.Setting;

/** What was read off the devices of a plan, entry by entry beside what is planned. */
public final class DeviceComparison {
    private DeviceComparison() {}

    /**
     * The menu of a device with what was read of it.
     *
     * @param readings of this device, the oldest first
     */
    public static List<ReadEntry> of(Plan plan, FittedDevice device, List<DeviceReading> readings) {
        return settings(plan, device).values().stream()
                .map(setting -> ReadEntry.of(setting, device, readings))
                .toList();
    }

    /** Whether a device holds something that nobody planned. */
    public static boolean isDrifted(Plan plan, FittedDevice device, List<DeviceReading> readings) {
        return !readings.isEmpty()
                && of(plan, device, readings).stream().anyMatch(entry -> entry.agreement() == Agreement.DRIFTED);
    }

    /**
     * What somebody has read off a device, each with what the plan wants there now.
     *
     * @param said what stands at some of its entries, by their places
     * @throws InvalidQuantity when there is no such entry, or that cannot stand there
     */
    public static Map<String, ReadValue> taken(Plan plan, FittedDevice device, Map<String, String> said) {
        Map<String, Setting> settings = settings(plan, device);
        Map<String, ReadValue> values = new LinkedHashMap<>();
        Bounds.within("values", said.size(), "entries", 1, settings.size());
        said.forEach((place, text) -> {
            Bounds.known("values", place, List.copyOf(settings.keySet()));
            Setting setting = settings.get(place);
            values.put(place, new ReadValue(ReadEntry.taken(setting, device, text), setting.enter()));
        });
        return values;
    }

    /** Each entry once, in the order of the menu: a coded switch is one, whatever it sets. */
    static Map<String, Setting> settings(Plan plan, FittedDevice device) {
        Map<String, Setting> settings = new LinkedHashMap<>();
        DeviceSettings.of(plan).stream()
                .filter(setting -> setting.device().equals(device.id()) && setting.standsInMenu())
                .forEach(setting -> settings.putIfAbsent(setting.place(), setting));
        return settings;
    }
}
