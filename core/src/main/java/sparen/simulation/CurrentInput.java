package sparen.simulation;

import java.util.List;
import sparen.site.CurrentSource;

/** The course of a source's current: straight lines between its points. Reads forward only. */
final class CurrentInput implements Part {
    private final List<CurrentSource.Point> points;
    private int index = -1;
    private double amperes;
    private double slope;

    CurrentInput(CurrentSource source) {
        points = source.points();
    }

    void moveTo(double seconds) {
        while (dueSeconds() <= seconds) {
            index++;
        }
        CurrentSource.Point from = points.get(Math.max(0, index));
        slope = 0;
        amperes = from.amperes();
        if (index >= 0 && index + 1 < points.size()) {
            CurrentSource.Point to = points.get(index + 1);
            slope = (to.amperes() - from.amperes()) / (to.secondsFromStart() - from.secondsFromStart());
            amperes += slope * (seconds - from.secondsFromStart());
        }
    }

    double amperes() {
        return amperes;
    }

    double slope() {
        return slope;
    }

    @Override
    public double dueSeconds() {
        return index + 1 < points.size() ? points.get(index + 1).secondsFromStart() : Double.POSITIVE_INFINITY;
    }
}
