package sparen.app.wire;

import sparen.quantity.Bounds;

/**
 * Where a device answers (Modbus TCP).
 *
 * @param host numeric address, in a network that is allowed
 * @param port 1 to 65535, commonly 502
 * @param unit number of the device behind that address, 0 to 255
 */
public record Connection(String host, int port, int unit) {
    public Connection {
        Bounds.name("host", host);
        Bounds.within("port", port, "", 1, 65_535);
        Bounds.within("unit", unit, "", 0, 255);
    }

    /** What no two may write at at once. */
    public String address() {
        return host + " port " + port + " unit " + unit;
    }
}
