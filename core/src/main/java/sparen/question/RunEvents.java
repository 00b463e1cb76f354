package sparen.question;

import java.util.List;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import sparen.quantity.Bounds;
import sparen.result.Event;
import sparen.result.RunResult;

/**
 * Some of a run's events.
 *
 * @param total how many there are of what was asked for
 * @param events oldest first
 */
public record RunEvents(int total, List<NumberedEvent> events) {
    private static final int MOST = 500;

    /**
     * An event and its number in the run.
     *
     * @param index from 0, oldest first
     */
    public record NumberedEvent(int index, Event event) {}

    /**
     * Those between two instants (s).
     *
     * @param subject id of the only one they are to be of; empty for all
     * @param skip how many of the first are left out, 0 to 1,000,000
     * @param most how many at most, 1 to 500
     */
    public static RunEvents of(RunResult result, double from, double to, String subject, int skip, int most) {
        Bounds.within("skip", skip, "events", 0, 1_000_000);
        Bounds.within("most", most, "events", 1, MOST);
        List<Event> all = result.events();
        Predicate<Event> asked = event -> event.seconds() >= from
                && event.seconds() <= to
                && (subject.isEmpty() || event.subject().equals(subject));
        int[] found = IntStream.range(0, all.size())
                .filter(i -> asked.test(all.get(i)))
                .toArray();
        return new RunEvents(
                found.length,
                IntStream.of(found)
                        .skip(skip)
                        .limit(most)
                        .mapToObj(i -> new NumberedEvent(i, all.get(i)))
                        .toList());
    }
}
