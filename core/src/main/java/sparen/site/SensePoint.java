package sparen.site;

import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * Where a device measures voltage, and by how much it is off.
 *
 * @param id its name in references
 * @param name how a sentence names it
 * @param place the node of the circuit
 * @param offsetVolts what the device reads above the true voltage there (V), −10 to 10
 * @param resolutionVolts the device reads in steps of this, rounded to the nearest (V), 0.0001 to 10; absent for no steps
 * @param sampleSeconds it looks only at whole multiples of this (s), 0.01 to 3600; absent for all the time
 * @param device id of the controller, inverter or load whose terminals are sensed; for the places at a device and for no other
 */
public record SensePoint(
        String id,
        String name,
        Place place,
        double offsetVolts,
        Optional<String> device,
        Optional<Double> resolutionVolts,
        Optional<Double> sampleSeconds) {
    /** The nodes where voltage can be sensed. */
    public enum Place {
        /** At the battery itself, before the main cable. */
        BATTERY_TERMINALS,
        /** At the main bus, behind the main cable's drop. */
        BUS,
        /** At a device's own terminals, behind its cable; a load's before its contact. */
        DEVICE_TERMINALS,
        /** At a load's terminals, behind its contact: nothing while that is open. */
        BEHIND_CONTACT;

        /** Whether it is at some device. */
        public boolean isAtDevice() {
            return this == DEVICE_TERMINALS || this == BEHIND_CONTACT;
        }
    }

    public SensePoint {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.present("place", place);
        Bounds.within("offsetVolts", offsetVolts, -10, 10);
        device = Bounds.orEmpty(device);
        resolutionVolts = Bounds.optional("resolutionVolts", resolutionVolts, 1e-4, 10);
        sampleSeconds = Bounds.optional("sampleSeconds", sampleSeconds, 0.01, 3600);
        if (device.isPresent() != place.isAtDevice()) {
            throw new InvalidQuantity(
                    "device",
                    "belongs to DEVICE_TERMINALS and BEHIND_CONTACT and to no other place; place is " + place);
        }
    }

    /** A sense point at the battery or the bus. */
    public SensePoint(String id, String name, Place place, double offsetVolts) {
        this(id, name, place, offsetVolts, Optional.empty());
    }

    /** A sense point of a device that reads without steps, all the time. */
    public SensePoint(String id, String name, Place place, double offsetVolts, Optional<String> device) {
        this(id, name, place, offsetVolts, device, Optional.empty(), Optional.empty());
    }
}
