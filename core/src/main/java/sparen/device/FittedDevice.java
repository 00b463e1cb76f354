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
 * @param inverter id of the inverter whose levels and AC program it holds; absent for none
 * @param monitor id of the battery monitor whose settings it holds; absent for none
 */
public record FittedDevice(
        String id,
        String name,
        DeviceProfile profile,
        List<String> outputs,
        Optional<String> charger,
        Optional<String> inverter,
        Optional<String> monitor) {
    /** One that holds outputs and a charger's setpoints. */
    public FittedDevice(String id, String name, DeviceProfile profile, List<String> outputs, Optional<String> charger) {
        this(id, name, profile, outputs, charger, Optional.empty(), Optional.empty());
    }

    public FittedDevice {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.present("profile", profile);
        outputs = Bounds.orNone(outputs);
        Bounds.unique("outputs", outputs);
        charger = Bounds.orEmpty(charger);
        inverter = Bounds.orEmpty(inverter);
        monitor = Bounds.orEmpty(monitor);
        if (outputs.size() > profile.outputs()) {
            throw new InvalidQuantity(
                    "outputs",
                    outputs.size() + " outputs are more than the " + profile.outputs() + " of \"" + profile.name()
                            + "\"");
        }
    }
}
