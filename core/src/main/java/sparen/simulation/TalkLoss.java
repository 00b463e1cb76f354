package sparen.simulation;

import sparen.quantity.Bounds;

/**
 * A time in which the batteries' data line is silent.
 *
 * @param fromSeconds since the start of the run (s), 0 to 3.2e8
 * @param toSeconds after that (s), fromSeconds to 3.2e8
 */
public record TalkLoss(double fromSeconds, double toSeconds) {
    public TalkLoss {
        Bounds.within("fromSeconds", fromSeconds, 0, 3.2e8);
        Bounds.within("toSeconds", toSeconds, fromSeconds, 3.2e8);
    }
}
