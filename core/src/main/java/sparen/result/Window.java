package sparen.result;

import sparen.quantity.Bounds;

/**
 * The part of a run that is recorded as a trace.
 *
 * @param fromSeconds since the start of the run (s)
 * @param toSeconds after fromSeconds by 1 s at least (s)
 * @param buckets how many equal spans it is recorded in, 1 to 20,000
 */
public record Window(double fromSeconds, double toSeconds, int buckets) {
    public Window {
        Bounds.within("fromSeconds", fromSeconds, 0, 3.2e8);
        Bounds.within("toSeconds", toSeconds, fromSeconds + 1, 3.2e8 + 1);
        Bounds.within("buckets", buckets, "buckets", 1, 20_000);
    }

    /**
     * What of it lies in a run.
     *
     * @param seconds length of the run, from 1 s on
     * @throws sparen.quantity.InvalidQuantity when it begins after the run
     */
    public Window within(double seconds) {
        Bounds.within("fromSeconds", fromSeconds, 0, seconds - 1);
        return seconds < toSeconds ? new Window(fromSeconds, seconds, buckets) : this;
    }
}
