package sparen.series;

/**
 * How long, within a step, all that is watched stays where nothing happens. Each part of a circuit says within which bounds of which
 * quantity it holds still; the step ends where the first of them is left.
 */
public final class Stay {
    private int order;
    private double step;
    private double exit;

    /** Begins to ask anew, of a step (s) whose series count up to an order. */
    public void begin(int order, double step) {
        this.order = order;
        this.step = step;
        exit = Double.POSITIVE_INFINITY;
    }

    /** Stays while a series is in a closed interval, where it is at the beginning of the step. */
    public void within(double[] series, double low, double high) {
        if (low > Double.NEGATIVE_INFINITY || high < Double.POSITIVE_INFINITY) {
            exit = Math.min(exit, Series.firstExit(series, order, step, low, high));
        }
    }

    /** Stays while a series keeps its answer to whether it is at or below a level. */
    public void onSideOf(double[] series, double level) {
        if (series[0] <= level) {
            within(series, Double.NEGATIVE_INFINITY, level);
        } else {
            within(series, Math.nextUp(level), Double.POSITIVE_INFINITY);
        }
    }

    /** Up to which order the series count. */
    public int order() {
        return order;
    }

    /** The first instant (s) from the beginning of the step at which something is left; infinite when nothing is. */
    public double exitSeconds() {
        return exit;
    }
}
