package sparen.site;

import sparen.quantity.Bounds;

/**
 * Something the site feeds.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param critical whether its loss must be told first
 * @param consumption how it draws
 * @param cable from the bus to its terminals
 */
public record Load(String id, String name, boolean critical, Consumption consumption, Cable cable) {
    public Load {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.present("consumption", consumption);
        Bounds.present("cable", cable);
    }
}
