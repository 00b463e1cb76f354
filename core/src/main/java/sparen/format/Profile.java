package sparen.format;

import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * A consumption profile: power that stays the same from each of its times to the next, over and over.
 *
 * @param start when its first line was, where it tells; a run then begins at the same place in its span. Without it, a run begins
 *     with its first line
 * @param seconds since its first line, rising from 0 (s)
 * @param watts from then on (W), 0 to 1e6
 * @param spanSeconds after which it starts again (s), above the last of its times
 */
public record Profile(Optional<Instant> start, double[] seconds, double[] watts, double spanSeconds) {
    public Profile {
        Bounds.within("profile lines", seconds.length, "lines", 1, ProfileReader.MOST_LINES);
        if (watts.length != seconds.length) {
            throw new InvalidQuantity("watts", watts.length + " powers for " + seconds.length + " times");
        }
        Bounds.within("seconds", seconds[0], 0, 0);
        for (int i = 0; i < seconds.length; i++) {
            Bounds.within("watts", watts[i], 0, ProfileReader.MOST_WATTS);
            if (i > 0) {
                Bounds.above("seconds", seconds[i], seconds[i - 1], Double.MAX_VALUE);
            }
        }
        Bounds.above("spanSeconds", spanSeconds, seconds[seconds.length - 1], Double.MAX_VALUE);
    }

    /** How far into the profile a run begins (s). */
    public double shiftSeconds(Instant runStart) {
        return start.map(first -> floorMod((runStart.toEpochMilli() - first.toEpochMilli()) / 1000.0, spanSeconds))
                .orElse(0.0);
    }

    /** The same with all power scaled (×). */
    public Profile times(double factor) {
        return new Profile(
                start, seconds, Arrays.stream(watts).map(one -> one * factor).toArray(), spanSeconds);
    }

    /** Mean power over its span (W). */
    public double meanWatts() {
        double joules = 0;
        for (int i = 0; i < watts.length; i++) {
            double until = i + 1 < seconds.length ? seconds[i + 1] : spanSeconds;
            joules += watts[i] * (until - seconds[i]);
        }
        return joules / spanSeconds;
    }

    /** Highest power (W). */
    public double highestWatts() {
        double highest = 0;
        for (double power : watts) {
            highest = Math.max(highest, power);
        }
        return highest;
    }

    private static double floorMod(double value, double modulus) {
        return value - Math.floor(value / modulus) * modulus;
    }
}
