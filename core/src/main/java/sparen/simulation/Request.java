package sparen.simulation;

import sparen.quantity.Bounds;

/**
 * A request that somebody makes by hand or from afar.
 *
 * @param name as rules call it
 * @param fromSeconds since the start of the run (s), 0 to 1e9
 * @param toSeconds when it is withdrawn (s), fromSeconds to 1e9
 */
public record Request(String name, double fromSeconds, double toSeconds) {
    public Request {
        Bounds.id("name", name);
        Bounds.within("fromSeconds", fromSeconds, 0, 1e9);
        Bounds.within("toSeconds", toSeconds, fromSeconds, 1e9);
    }

    boolean isMade(double seconds) {
        return seconds >= fromSeconds && seconds < toSeconds;
    }
}
