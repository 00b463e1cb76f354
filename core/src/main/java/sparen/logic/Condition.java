package sparen.logic;

/** A comparison of a signal with a threshold: a pure function of the signals. */
public sealed interface Condition {
    /** Whether it is true of these signals. */
    boolean holds(double[] signals);

    /**
     * Narrows the closed interval of each signal it looks at to those values for which its answer stays what it is now.
     *
     * @param signals present values
     * @param low lower ends, one a signal, raised where needed
     * @param high upper ends, one a signal, lowered where needed
     */
    void narrow(double[] signals, double[] low, double[] high);

    /** True at or below the threshold, in the signal's unit. */
    record AtOrBelow(int signal, double threshold) implements Condition {
        @Override
        public boolean holds(double[] signals) {
            return signals[signal] <= threshold;
        }

        @Override
        public void narrow(double[] signals, double[] low, double[] high) {
            if (holds(signals)) {
                high[signal] = Math.min(high[signal], threshold);
            } else {
                low[signal] = Math.max(low[signal], Math.nextUp(threshold));
            }
        }
    }

    /** True at or above the threshold, in the signal's unit. */
    record AtOrAbove(int signal, double threshold) implements Condition {
        @Override
        public boolean holds(double[] signals) {
            return signals[signal] >= threshold;
        }

        @Override
        public void narrow(double[] signals, double[] low, double[] high) {
            if (holds(signals)) {
                low[signal] = Math.max(low[signal], threshold);
            } else {
                high[signal] = Math.min(high[signal], Math.nextDown(threshold));
            }
        }
    }
}
