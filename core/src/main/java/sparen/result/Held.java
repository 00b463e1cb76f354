package sparen.result;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * How long, and by what, a charger or a battery was kept from charging.
 *
 * @param subject id of the charger or battery
 * @param reasons why, in the order they first came, and how long each held
 * @param seconds of the whole run in which any of them held (s)
 * @param shares of each bucket of a window in which any of them held (fraction)
 */
public record Held(String subject, List<Hold> reasons, double seconds, double[] shares) {
    /**
     * How long one reason held.
     *
     * @param seconds of the whole run (s)
     */
    public record Hold(Reason reason, double seconds) {}

    /** What keeps from charging. */
    public enum Reason {
        COLD(
                Set.of(Change.COLD_STOPS, Change.TOO_COLD_TO_CHARGE),
                Set.of(Change.COLD_RELEASES, Change.CHARGE_TEMPERATURE_OVER)),
        HEAT(
                Set.of(Change.HEAT_STOPS, Change.TOO_HOT_TO_CHARGE),
                Set.of(Change.HEAT_RELEASES, Change.CHARGE_TEMPERATURE_OVER)),
        OVER_VOLTAGE(
                Set.of(Change.OVER_VOLTAGE_STOPS, Change.BATTERY_HIGH),
                Set.of(Change.OVER_VOLTAGE_RELEASES, Change.BATTERY_HIGH_OVER)),
        SILENCE(Set.of(Change.SILENCE_STOPS), Set.of(Change.SILENCE_RELEASES)),
        ENABLE(Set.of(Change.ENABLE_STOPS), Set.of(Change.ENABLE_RELEASES));

        private final Set<Change> begins;
        private final Set<Change> ends;

        Reason(Set<Change> begins, Set<Change> ends) {
            this.begins = begins;
            this.ends = ends;
        }
    }

    /** From when one subject is held by some reasons, and how long it was altogether. */
    private static final class Course {
        private final Map<Reason, Double> now = new EnumMap<>(Reason.class);
        private final Map<Reason, Double> seconds = new LinkedHashMap<>();
        private final List<double[]> spans = new ArrayList<>();
        private double heldSince;

        void take(Event event) {
            boolean was = !now.isEmpty();
            for (Fact fact : event.facts()) {
                for (Reason reason : Reason.values()) {
                    if (reason.begins.contains(fact.change())) {
                        now.putIfAbsent(reason, event.seconds());
                        seconds.putIfAbsent(reason, 0.0);
                    } else if (reason.ends.contains(fact.change())) {
                        over(reason, event.seconds());
                    }
                }
            }
            if (!was && !now.isEmpty()) {
                heldSince = event.seconds();
            } else if (was && now.isEmpty()) {
                spans.add(new double[] {heldSince, event.seconds()});
            }
        }

        private void over(Reason reason, double at) {
            Double since = now.remove(reason);
            if (since != null) {
                seconds.merge(reason, at - since, Double::sum);
            }
        }

        void end(double at) {
            if (!now.isEmpty()) {
                spans.add(new double[] {heldSince, at});
            }
            List.copyOf(now.keySet()).forEach(reason -> over(reason, at));
        }
    }

    /** What was held in a run, by the events it told, as a picture of a window needs it. */
    public static List<Held> of(List<Event> events, double endSeconds, Window window) {
        Map<String, Course> courses = new LinkedHashMap<>();
        events.forEach(event -> courses.computeIfAbsent(event.subject(), subject -> new Course())
                .take(event));
        List<Held> held = new ArrayList<>();
        courses.forEach((subject, course) -> {
            course.end(endSeconds);
            if (!course.spans.isEmpty()) {
                held.add(new Held(
                        subject,
                        course.seconds.entrySet().stream()
                                .map(one -> new Hold(one.getKey(), one.getValue()))
                                .toList(),
                        course.spans.stream()
                                .mapToDouble(span -> span[1] - span[0])
                                .sum(),
                        shares(course.spans, window)));
            }
        });
        return held;
    }

    private static double[] shares(List<double[]> spans, Window window) {
        double[] shares = new double[window.buckets()];
        double width = (window.toSeconds() - window.fromSeconds()) / shares.length;
        for (double[] span : spans) {
            int first = (int) Math.max(0, Math.floor((span[0] - window.fromSeconds()) / width));
            for (int i = first; i < shares.length && window.fromSeconds() + i * width < span[1]; i++) {
                double from = Math.max(span[0], window.fromSeconds() + i * width);
                double to = Math.min(span[1], window.fromSeconds() + (i + 1) * width);
                shares[i] = Math.min(1, shares[i] + Math.max(0, to - from) / width);
            }
        }
        return shares;
    }
}
