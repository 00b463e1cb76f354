package sparen.result;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;

/** What was kept from charging, drawn by hand from what happened. */
public class HeldTest {
    private static Event event(double seconds, String subject, Change change, double... numbers) {
        return Event.of(seconds, Event.Kind.STAGE, subject, List.of(Fact.of(change, numbers)), 12, 0.5);
    }

    /** Cold from 100 to 400 s, disabled from 300 to 500 s: held for 400 s in one piece; another charger is still held at the end. */
    @Test
    public void reasonsThatOverlapAreOneSpan() {
        List<Event> events = List.of(
                event(100, "roof", Change.COLD_STOPS, 0, -1),
                event(300, "roof", Change.ENABLE_STOPS),
                event(400, "roof", Change.COLD_RELEASES, 2, 2.1),
                event(500, "roof", Change.ENABLE_RELEASES),
                event(900, "wall", Change.SILENCE_STOPS, 60),
                event(950, "wall", Change.FLOAT_BEGAN, 13.6));
        List<Held> held = Held.of(events, 1000, new Window(0, 1000, 4));
        assertEquals(held.size(), 2);
        Held roof = held.get(0);
        assertEquals(
                roof.reasons(), List.of(new Held.Hold(Held.Reason.COLD, 300), new Held.Hold(Held.Reason.ENABLE, 200)));
        assertEquals(roof.seconds(), 400, 1e-9);
        assertEquals(roof.shares(), new double[] {0.6, 1, 0, 0}, 1e-9);
        assertEquals(held.get(1).seconds(), 100, 1e-9);
        assertEquals(held.get(1).shares(), new double[] {0, 0, 0, 0.4}, 1e-9);
        assertTrue(Held.of(events.subList(4, 4), 1000, new Window(0, 1000, 4)).isEmpty());
    }

    /** A closer look tells the same: its buckets are shares of themselves, what lies outside is left out. */
    @Test
    public void aWindowSeesItsPart() {
        List<Event> events = List.of(
                event(100, "roof", Change.HEAT_STOPS, 45, 46), event(200, "roof", Change.HEAT_RELEASES, 45, 44));
        Held held = Held.of(events, 1000, new Window(150, 250, 2)).get(0);
        assertEquals(held.shares(), new double[] {1, 0}, 1e-9);
        assertEquals(held.seconds(), 100, 1e-9);
    }
}
