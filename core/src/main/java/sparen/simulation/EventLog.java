package sparen.simulation;

import java.util.ArrayList;
import java.util.List;

/** The events of a run, up to a bound; beyond it they are only counted. */
final class EventLog {
    /** The most events a run keeps; a site that switches more is chattering. */
    static final int MOST_EVENTS = 20_000;

    private final List<Event> events = new ArrayList<>();
    private int leftOut;

    void add(Event event) {
        if (events.size() < MOST_EVENTS) {
            events.add(event);
        } else {
            leftOut++;
        }
    }

    List<Event> events() {
        return events;
    }

    int leftOut() {
        return leftOut;
    }
}
