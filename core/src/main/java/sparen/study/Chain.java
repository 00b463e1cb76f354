package sparen.study;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import sparen.quantity.Standard;
import sparen.result.DayFigures;
import sparen.result.Event;
import sparen.result.RunResult;

/** How an event of a run came about: what happened just before it, where its subject stood, and what the days before had brought. */
public final class Chain {
    /** Something that moved so shortly before belongs to it (s): longer than usual delays. */
    private static final double NEAR_SECONDS = 120;

    private static final int MOST_NEAR = 6;

    private Chain() {}

    /**
     * One link.
     *
     * @param seconds when, since the start of the run (s)
     * @param event number of the event it tells of, −1 for what days brought
     * @param says in words; empty for an event, which has its own reason
     */
    public record Link(double seconds, int event, String says) {}

    /**
     * The links that led to an event, oldest first; the event itself is the last.
     *
     * @param index of the event in the run's list
     */
    public static List<Link> of(RunResult run, int index) {
        List<Event> events = run.events();
        Event last = events.get(index);
        Set<Integer> found = new HashSet<>(Set.of(index));
        int near = 0;
        boolean subjectBefore = false;
        boolean stageBefore = last.kind() == Event.Kind.STAGE;
        for (int i = index - 1; i >= 0 && !(subjectBefore && stageBefore && near < 0); i--) {
            Event one = events.get(i);
            boolean close = one.seconds() >= last.seconds() - NEAR_SECONDS && near >= 0 && near < MOST_NEAR;
            boolean ofSubject =
                    !subjectBefore && one.subject().equals(last.subject()) && one.kind() != Event.Kind.CHATTER;
            boolean stage = !stageBefore && one.kind() == Event.Kind.STAGE;
            if (close || ofSubject || stage) {
                found.add(i);
            }
            near = close ? near + 1 : -1;
            subjectBefore |= ofSubject;
            stageBefore |= stage;
        }
        List<Link> links = new ArrayList<>();
        found.forEach(i -> links.add(new Link(events.get(i).seconds(), i, "")));
        drain(run, last).ifPresent(links::add);
        links.sort(Comparator.comparingDouble(Link::seconds).thenComparingInt(Link::event));
        return List.copyOf(links);
    }

    /** What the days since the battery was last full have brought, where it is not full. */
    private static Optional<Link> drain(RunResult run, Event event) {
        List<DayFigures> days = run.days();
        // The days that were over before it: a day that the clocks change on has 23 or 25 hours.
        int day = (int) Math.max(
                0,
                days.stream()
                                .filter(one -> one.startSeconds() <= event.seconds())
                                .count()
                        - 1);
        int since = day;
        while (since > 0 && days.get(since - 1).highestStateOfCharge() < Standard.FULL_CHARGE) {
            since--;
        }
        if (event.stateOfCharge() >= Standard.FULL_CHARGE || day - since < 1) {
            return Optional.empty();
        }
        double sun = 0;
        double loads = 0;
        for (DayFigures one : days.subList(since, day)) {
            sun += one.ledger().arrayJoules() + one.ledger().acArrayJoules();
            loads += one.ledger().totalServedJoules();
        }
        int count = day - since;
        String says = String.format(
                Locale.ROOT,
                "%s %d %s the sun had %.0f Wh a day, loads took %.0f Wh a day; %.0f %% of charge when it happened",
                since == 0 ? "in the first" : "since the battery was last full, in",
                count,
                count == 1 ? "day" : "days",
                sun / count / Standard.WATT_HOUR,
                loads / count / Standard.WATT_HOUR,
                100 * event.stateOfCharge());
        return Optional.of(new Link(days.get(since).startSeconds(), -1, says));
    }
}
