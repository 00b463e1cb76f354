package sparen.output;

import java.util.Arrays;

/** A list of instants that grows without boxing, up to a bound. */
final class GrowingTimes {
    private final int most;
    private double[] seconds = new double[64];
    private int size;

    GrowingTimes(int most) {
        this.most = most;
    }

    void add(double instant) {
        if (size == most) {
            return;
        }
        if (size == seconds.length) {
            seconds = Arrays.copyOf(seconds, Math.min(most, size * 2));
        }
        seconds[size++] = instant;
    }

    double[] toArray() {
        return Arrays.copyOf(seconds, size);
    }
}
