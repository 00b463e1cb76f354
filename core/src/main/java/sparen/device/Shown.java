package sparen.device;

import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * From when, with what and under what condition a device shows an entry of its menu.
 *
 * @param fromFirmware the first that has it, such as 1.4; absent for all
 * @param with what it is seen and set; absent for the device's own keys
 * @param onlyWhen what else must be chosen in the device; absent for nothing
 */
public record Shown(Optional<String> fromFirmware, Optional<Tool> with, Optional<OnlyWhen> onlyWhen) {
    /** What entries of a menu are seen and set with. */
    public enum Tool {
        KEYPAD,
        PHONE,
        COMPUTER
    }

    /**
     * Another entry that must be what is said.
     *
     * @param knob its setting or id
     * @param is what is entered there
     */
    public record OnlyWhen(String knob, String is) {
        public OnlyWhen {
            Bounds.name("knob", knob);
            Bounds.name("is", is);
        }
    }

    public Shown {
        fromFirmware = Firmware.version("fromFirmware", fromFirmware);
        with = Bounds.orEmpty(with);
        onlyWhen = Bounds.orEmpty(onlyWhen);
    }
}
