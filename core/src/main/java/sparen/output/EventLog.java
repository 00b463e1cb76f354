package sparen.output;

import java.util.ArrayList;
import java.util.List;
import sparen.result.Event;
import sparen.result.Fact;

/** The events of a run, up to a bound; beyond it they are only counted. */
public final class EventLog {
    /** The most events a run keeps; a site that switches more is chattering. */
    static final int MOST_EVENTS = 20_000;

    private final List<Event> events = new ArrayList<>();
    private int leftOut;

    /** Takes an event, or counts it as left out once the log is full: then it is not even put into words. */
    public void add(double seconds, Event.Kind kind, String subject, List<Fact> facts, double volts, double charge) {
        if (events.size() < MOST_EVENTS) {
            events.add(Event.of(seconds, kind, subject, facts, volts, charge));
        } else {
            leftOut++;
        }
    }

    /** What was taken, in order. */
    public List<Event> events() {
        return events;
    }

    /** How many events the log had no room for. */
    public int leftOut() {
        return leftOut;
    }
}
