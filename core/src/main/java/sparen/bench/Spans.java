package sparen.bench;

import java.util.ArrayList;
import java.util.List;

/** The spans of time in which something that goes by steps is above a level, or below it. */
final class Spans {
    private Spans() {}

    /**
     * The spans, each with beginning and end (s).
     *
     * @param steps instants (s) and what it is at from then on
     * @param above or at the level, else below
     * @param end of the last span (s)
     */
    static List<double[]> of(List<double[]> steps, double level, boolean above, double end) {
        List<double[]> spans = new ArrayList<>();
        double since = Double.NaN;
        for (double[] step : steps) {
            boolean in = step[1] >= level == above;
            if (in && Double.isNaN(since)) {
                since = step[0];
            } else if (!in && !Double.isNaN(since)) {
                spans.add(new double[] {since, step[0]});
                since = Double.NaN;
            }
        }
        if (!Double.isNaN(since)) {
            spans.add(new double[] {since, end});
        }
        return spans;
    }
}
