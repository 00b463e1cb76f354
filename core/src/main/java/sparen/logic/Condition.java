package sparen.logic;

import java.util.BitSet;
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

    /** Adds the signals it looks at. */
    void signals(BitSet into);

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

        @Override
        public void signals(BitSet into) {
            into.set(signal);
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

        @Override
        public void signals(BitSet into) {
            into.set(signal);
        }
    }

    /**
     * True at or beyond a threshold that moves with another signal: threshold + factor × (signals[by] − from). The other signal must
     * change in steps only, at events or samples.
     *
     * @param above whether it is true above the threshold, else below
     * @param by the signal it moves with
     * @param factor in the signal's unit for each of the other's
     * @param from where the other moves nothing
     */
    record Moving(boolean above, int signal, double threshold, int by, double factor, double from)
            implements Condition {
        private double level(double[] signals) {
            return threshold + factor * (signals[by] - from);
        }

        @Override
        public boolean holds(double[] signals) {
            return above ? signals[signal] >= level(signals) : signals[signal] <= level(signals);
        }

        @Override
        public void narrow(double[] signals, double[] low, double[] high) {
            low[by] = Math.max(low[by], signals[by]);
            high[by] = Math.min(high[by], signals[by]);
            Condition now = above ? new AtOrAbove(signal, level(signals)) : new AtOrBelow(signal, level(signals));
            now.narrow(signals, low, high);
        }

        @Override
        public void signals(BitSet into) {
            into.set(signal);
            into.set(by);
        }
    }

    /** Several conditions joined. */
    sealed interface Joined extends Condition {
        List<Condition> parts();

        /** While every part keeps its answer the whole does; narrower than needed, never wider. */
        @Override
        default void narrow(double[] signals, double[] low, double[] high) {
            for (int i = 0; i < parts().size(); i++) {
                parts().get(i).narrow(signals, low, high);
            }
        }

        @Override
        default void signals(BitSet into) {
            parts().forEach(part -> part.signals(into));
        }
    }

    /** True when all parts are. */
    record AllOf(List<Condition> parts) implements Joined {
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
    }

    /** True when at least one part is. */
    record AnyOf(List<Condition> parts) implements Joined {
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

        @Override
        public void signals(BitSet into) {
            part.signals(into);
        }
    }
}
