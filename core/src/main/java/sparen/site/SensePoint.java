package sparen.site;

import sparen.quantity.Bounds;

/**
 * Where a device measures voltage, and by how much it is off.
 *
 * @param id its name in references
 * @param name how a sentence names it
 * @param place the node of the circuit
 * @param offsetVolts what the device reads above the true voltage there (V), −10 to 10
 */
public record SensePoint(String id, String name, Place place, double offsetVolts) {
    /** The nodes where voltage can be sensed. */
    public enum Place {
        /** At the battery itself, before the main cable. */
        BATTERY_TERMINALS,
        /** At the main bus, behind the main cable's drop. */
        BUS
    }

    public SensePoint {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.present("place", place);
        Bounds.within("offsetVolts", offsetVolts, "V", -10, 10);
    }
}
