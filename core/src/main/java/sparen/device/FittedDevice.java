package sparen.device;

import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * A device that stands at a site and carries part of its program.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param profile the kind of device it is
 * @param outputs ids of the outputs it switches, as many as its kind has at most
 * @param charger id of the charger whose setpoints it holds; absent for none
 */
public record FittedDevice(
        String id, String name, DeviceProfile profile, List<String> outputs, Optional<String> charger) {
    public FittedDevice {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.present("profile", profile);
        outputs = Bounds.orNone(outputs);
        Bounds.unique("outputs", outputs);
        charger = Bounds.orEmpty(charger);
        if (outputs.size() > profile.outputs()) {
            throw new InvalidQuantity(
                    "outputs",
                    outputs.size() + " outputs are more than the " + profile.outputs() + " of \"" + profile.name()
                            + "\"");
        }
    }
}
