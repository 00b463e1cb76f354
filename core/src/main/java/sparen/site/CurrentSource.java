package sparen.site;

import java.util.List;
import sparen.quantity.Bounds;

/**
 * A source that pushes a given current into the bus whatever its voltage: a bench source, or a measured charging current.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param points current over time, straight lines between, held before the first and after the last; 1 to 100,000
 */
public record CurrentSource(String id, String name, List<Point> points) {
    public CurrentSource {
        Bounds.id("id", id);
        Bounds.name("name", name);
        points = List.copyOf(Bounds.present("points", points));
        Bounds.within("points", points.size(), "points", 1, 100_000);
        for (int i = 1; i < points.size(); i++) {
            Bounds.above(
                    "points.secondsFromStart",
                    points.get(i).secondsFromStart(),
                    points.get(i - 1).secondsFromStart(),
                    1e9);
        }
    }

    /**
     * One point of the current's course.
     *
     * @param secondsFromStart since the simulation began (s), 0 to 1e9
     * @param amperes into the bus (A), 0 to 10,000
     */
    public record Point(double secondsFromStart, double amperes) {
        public Point {
            Bounds.within("secondsFromStart", secondsFromStart, 0, 1e9);
            Bounds.within("amperes", amperes, 0, 10_000);
        }
    }
}
