package sparen.logic;

import java.util.List;

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

    /** True when all parts are. */
    record AllOf(List<Condition> parts) implements Condition {
        public AllOf {
            parts = List.copyOf(parts);
        }

        @Override
        public boolean holds(double[] signals) {
            for (int i = 0; i < parts.size(); i++) {
                if (!parts.get(i).holds(signals)) {
                    return false;
                }
            }
            return true;
        }

        @Override
        public void narrow(double[] signals, double[] low, double[] high) {
            narrowAll(parts, signals, low, high);
        }
    }

    /** True when at least one part is. */
    record AnyOf(List<Condition> parts) implements Condition {
        public AnyOf {
            parts = List.copyOf(parts);
        }

        @Override
        public boolean holds(double[] signals) {
            for (int i = 0; i < parts.size(); i++) {
                if (parts.get(i).holds(signals)) {
                    return true;
                }
            }
            return false;
        }

        @Override
        public void narrow(double[] signals, double[] low, double[] high) {
            narrowAll(parts, signals, low, high);
        }
    }

    /** True when its part is not. */
    record Not(Condition part) implements Condition {
        @Override
        public boolean holds(double[] signals) {
            return !part.holds(signals);
        }

        @Override
        public void narrow(double[] signals, double[] low, double[] high) {
            part.narrow(signals, low, high);
        }
    }

    /** While every part keeps its answer the whole does; narrower than needed, never wider. */
    private static void narrowAll(List<Condition> parts, double[] signals, double[] low, double[] high) {
        for (int i = 0; i < parts.size(); i++) {
            parts.get(i).narrow(signals, low, high);
        }
    }
}
