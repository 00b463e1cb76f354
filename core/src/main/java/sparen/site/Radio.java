package sparen.site;

import sparen.quantity.Bounds;

/**
 * A device that can be reached by radio.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param factoryPassword whether it still has the password it came with
 */
public record Radio(String id, String name, boolean factoryPassword) {
    public Radio {
        Bounds.id("id", id);
        Bounds.name("name", name);
    }
}
