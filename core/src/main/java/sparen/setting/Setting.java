package sparen.setting;

import java.util.Optional;

/**
 * One number of a program as it is set in a device.
 *
 * @param device id of the device
 * @param at id of the output or charger it belongs to
 * @param path of the number in the plan, as in origins
 * @param menu number or path of its menu; absent where it has none
 * @param label what the device calls it, or the field where it has no such setting or a coded switch sets it
 * @param coded whether one position of a coded switch sets it together with others
 * @param enter what is entered, in the device's own unit; for a coded switch its position
 * @param unit the device's; may be empty
 * @param planUnit of wanted and effective; empty for a ratio
 * @param wanted the plan's number, in planUnit
 * @param effective what the device makes of it, in planUnit
 * @param needs what must be set or enabled first; absent for nothing
 * @param assumed whether the device's bounds are assumed until measured
 * @param problem why the device cannot hold the number; absent where it can
 */
public record Setting(
        String device,
        String at,
        String path,
        Optional<String> menu,
        String label,
        boolean coded,
        String enter,
        String unit,
        String planUnit,
        double wanted,
        double effective,
        Optional<String> needs,
        boolean assumed,
        Optional<String> problem) {}
