package sparen.simulation;

import java.util.List;
import sparen.site.AcCoupledArray;

/** The arrays on the AC side in one run: what they could give together. */
final class AcArrays {
    private final List<AcCoupledArray> arrays;
    private final List<ArrayInput> inputs;
    private double watts;
    private double meteredWatts;
    private double until;

    AcArrays(List<AcCoupledArray> arrays, List<ArrayInput> inputs) {
        this.arrays = arrays;
        this.inputs = inputs;
        until = inputs.isEmpty() ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY;
    }

    /** Takes the sun of an instant (s); whether it is another than before. */
    boolean moveTo(double seconds) {
        if (seconds < until) {
            return false;
        }
        watts = 0;
        meteredWatts = 0;
        until = Double.POSITIVE_INFINITY;
        for (int i = 0; i < inputs.size(); i++) {
            int minute = inputs.get(i).minute(seconds);
            AcCoupledArray array = arrays.get(i);
            double gives = Math.min(array.maximumWatts(), inputs.get(i).watts()[minute] * array.efficiency());
            watts += gives;
            meteredWatts +=
                    array.meter().map(one -> one.reversed() ? -gives : gives).orElse(0.0);
            until = Math.min(until, 60.0 * (minute + 1));
        }
        return true;
    }

    /** What all could give (W, AC). */
    double watts() {
        return watts;
    }

    /** What meters of their own say that they give (W): below 0 where one is the wrong way round. */
    double meteredWatts() {
        return meteredWatts;
    }

    /** Until when that holds (s). */
    double until() {
        return until;
    }
}
