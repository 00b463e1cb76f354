package sparen.device;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
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
 * @param serial number on its plate; absent while nobody has read it
 * @param firmware its version; absent while nobody has read it
 * @param noted what its entries are that stand for nothing in the plan, 0 to 200; one that is left out is as usual, and nobody has looked
 */
public record FittedDevice(
        String id,
        String name,
        DeviceProfile profile,
        List<String> outputs,
        Optional<String> charger,
        Optional<String> inverter,
        Optional<String> monitor,
        Optional<String> serial,
        Optional<String> firmware,
        List<NotedValue> noted)
        implements FittedDeviceWith {
    /** One that holds outputs and a charger's setpoints. */
    public FittedDevice(String id, String name, DeviceProfile profile, List<String> outputs, Optional<String> charger) {
        this(
                id,
                name,
                profile,
                outputs,
                charger,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of());
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
        serial = Bounds.name("serial", serial);
        firmware = Firmware.version("firmware", firmware);
        noted = Bounds.orNone(noted);
        Bounds.within("noted", noted.size(), "entries", 0, DeviceProfile.MOST_KNOBS);
        Bounds.unique("noted", noted.stream().map(NotedValue::id).toList());
        for (NotedValue value : noted) {
            profile.noted(value.id())
                    .orElseThrow(() -> new InvalidQuantity(
                            "noted." + value.id(), "\"" + value.id() + "\" is no entry of \"" + profile.name() + "\""))
                    .takes("noted." + value.id() + ".value", value.value());
        }
        if (outputs.size() > profile.outputs()) {
            throw new InvalidQuantity(
                    "outputs",
                    outputs.size() + " outputs are more than the " + profile.outputs() + " of \"" + profile.name()
                            + "\"");
        }
    }

    /** What is entered at something that stands for nothing in the plan; what is usual where nobody has looked. */
    public String entered(NotedKnob knob) {
        return given(knob).map(NotedValue::value).orElse(knob.usual());
    }

    /** What somebody has written down of an entry; empty while nobody has looked. */
    public Optional<NotedValue> given(NotedKnob knob) {
        return noted.stream().filter(one -> one.id().equals(knob.id())).findFirst();
    }

    /** The same with something written down, in place of what was. */
    public FittedDevice noting(NotedValue value) {
        return withNoted(Stream.concat(noted.stream().filter(one -> !one.id().equals(value.id())), Stream.of(value))
                .toList());
    }
}
