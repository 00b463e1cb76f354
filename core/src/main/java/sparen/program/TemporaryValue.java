package sparen.program;

import sparen.quantity.Bounds;

/**
 * A setting that was changed for a test and has to be put back.
 *
 * @param path of the number, as in origins
 * @param name what it is called
 * @param normalValue what it has to be put back to
 * @param unit of it
 */
public record TemporaryValue(String path, String name, double normalValue, String unit) {
    public TemporaryValue {
        Bounds.present("path", path);
        Bounds.name("name", name);
        Bounds.within("normalValue", normalValue, unit, -1e9, 1e9);
        Bounds.present("unit", unit);
    }
}
