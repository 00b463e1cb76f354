package sparen.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.bench.BenchScript.Turn;
import sparen.program.FullSite;
import sparen.program.Lockout;
import sparen.program.Mode;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.rule.ChargeInhibit;
import sparen.program.rule.SourceTransfer;
import sparen.quantity.InvalidQuantity;
import sparen.result.Change;
import sparen.result.Event;

/** What a technician does with a bench supply and a watch, instants by hand. */
public class SupplyBenchTest {
    /** The radio's disconnect at the battery terminals: 22.8 V for 30 s, back at 25 V for 300 s. */
    private static final Plan PLAN = FullSite.PLAN;

    private static BenchState play(Plan plan, double until, Turn... turns) {
        return SupplyBench.play(plan, new BenchScript(List.of(turns)), until);
    }

    private static Turn battery(double at, double volts, double over) {
        return new Turn(at, "battery_volts", volts, over);
    }

    private static List<Event> moves(BenchState state, String output) {
        return state.events().stream()
                .filter(event -> event.subject().equals(output))
                .filter(event -> event.kind() == Event.Kind.OPENED || event.kind() == Event.Kind.CLOSED)
                .toList();
    }

    private static BenchState.AtBench radio(BenchState state) {
        return state.outputs().stream()
                .filter(one -> one.output().equals("radio"))
                .findFirst()
                .orElseThrow();
    }

    /** From 24 V to 22 V in 200 s the level of 22.8 V is crossed after 120 s; it opens 30 s later. */
    @Test
    public void aSlowTurnCrossesWhenArithmeticSays() {
        BenchState state = play(PLAN, 400, battery(0, 24, 0), battery(10, 22, 200));
        Event opened = moves(state, "radio").get(0);
        assertEquals(opened.kind(), Event.Kind.OPENED);
        assertEquals(opened.seconds(), 160, 1e-6);
        BenchState before = play(PLAN, 159.9, battery(0, 24, 0), battery(10, 22, 200));
        assertTrue(radio(before).closed());
        assertEquals(radio(before).countdowns().get(0).remainingSeconds(), 0.1, 1e-6);
        assertEquals(before.nextSeconds().orElseThrow(), 160, 1e-6);
        assertEquals(before.knobs().get("battery_volts"), 24 - 0.01 * 149.9, 1e-9);
    }

    /** A millivolt above the level it stays; at the level it goes, for a level holds at equality. */
    @Test
    public void sneaksUpOnALevel() {
        assertTrue(radio(play(PLAN, 3600, battery(0, 22.801, 0))).closed());
        assertFalse(radio(play(PLAN, 31, battery(0, 22.8, 0))).closed());
        assertTrue(radio(play(PLAN, 29.9, battery(0, 22.8, 0))).closed());
    }

    @Test
    public void comesBackAfterItsDelayAndNotForAnInstantLess() {
        Turn[] turns = {battery(0, 22, 0), battery(100, 25, 0), battery(399, 24.9, 0), battery(400, 25, 0)};
        BenchState state = play(PLAN, 1000, turns);
        List<Event> moves = moves(state, "radio");
        assertEquals(moves.size(), 2, moves.toString());
        assertEquals(moves.get(1).seconds(), 700, 1e-6, "the break at 399 s began its 300 s anew");
        assertEquals(play(PLAN, 1000, turns).events(), state.events(), "played again it does the same");
    }

    /** Three trips within the hour: it waits for a hand's time, whatever the voltage. Common practice, no source. */
    @Test
    public void locksOut() {
        Plan locked = FullSite.output(
                PLAN,
                "radio",
                output -> output.withLockout(Optional.of(new Lockout(3, 3600, 1, 0, Lockout.Release.TIME, 5000))));
        Turn[] turns = new Turn[6];
        for (int i = 0; i < 3; i++) {
            turns[2 * i] = battery(i * 400, 22, 0);
            turns[2 * i + 1] = battery(i * 400 + 50, 26, 0);
        }
        BenchState state = play(locked, 2000, turns);
        assertFalse(radio(state).closed());
        assertTrue(
                moves(state, "radio").get(0).reason().contains("at or below LVD"),
                "no lockout had anything to do with it");
        // 26 V is above LVR: it is not that it waits for. Locked at 830 s for 5000 s, of which 1170 s are over.
        assertEquals(radio(state).whyNot(), "locked out for 1 h 3 min 50 s more");
        assertTrue(
                moves(state, "radio").get(4).reason().contains("locked out after 3 trips"),
                moves(state, "radio").toString());
        assertTrue(radio(state).countdowns().stream().anyMatch(one -> one.what().equals("lockout")));
        BenchState later = play(locked, 6000, turns);
        assertTrue(radio(later).closed(), later.events().toString());
        List<Event> lockouts = later.events().stream()
                .filter(event -> event.kind() == Event.Kind.LOCKOUT)
                .toList();
        assertEquals(
                lockouts.stream().map(one -> one.facts().get(0).change()).toList(),
                List.of(Change.LOCKED_OUT, Change.LET_GO));
        assertEquals(lockouts.get(1).seconds() - lockouts.get(0).seconds(), 5000, 1e-6);
    }

    /** What a contact that is closed waits for is what opens it: by the words of each rule. */
    @Test
    public void whyNotNamesWhatWouldMoveIt() {
        Rule inhibit = new ChargeInhibit(4, 45, 2, "terminals", 28, 26, 5);
        Rule transfer = new SourceTransfer("terminals", 24, 60, 25.5, 600);
        for (Object[] row : new Object[][] {
            {inhibit, 27.0, "waits for over-voltage stop 28 V; reads 27 V, 1 V away"},
            {transfer, 25.0, "waits for transfer to AC 24 V; reads 25 V, 1 V away"},
            // At its level, but no source is there to go to: no delay runs.
            {
                transfer,
                23.5,
                "waits for transfer to AC 24 V; reads 23.5 V, passed; something else of its rule is not met"
            },
        }) {
            Plan plan = FullSite.output(PLAN, "radio", output -> output.withProtection(Optional.empty())
                    .withAutomatic(Optional.of((Rule) row[0]))
                    .withMode(Mode.BY_RULE));
            BenchState state = play(plan, 1, battery(0, (Double) row[1], 0));
            assertTrue(radio(state).closed());
            assertEquals(radio(state).whyNot(), row[2]);
        }
    }

    /** The generator starts at 30 % for a minute, but not in its quiet hours from 22:00 to 7:00. */
    @Test
    public void theClockGoesOnByItself() {
        BenchState quiet =
                play(PLAN, 9 * 3600, new Turn(0, "local_hour", 23, 0), new Turn(0, "reported_charge_monitor", 0.2, 0));
        assertEquals(moves(quiet, "start").get(0).seconds(), 8 * 3600 + 60, 61, "at seven, and after its minute");
        assertEquals(quiet.knobs().get("local_hour"), 8, 1e-6);
    }

    @Test
    public void refusesAKnobThatIsNotThere() {
        InvalidQuantity refused =
                expectThrows(InvalidQuantity.class, () -> play(PLAN, 1, new Turn(0, "contact_radio", 1, 0)));
        assertTrue(refused.getMessage().contains("battery_volts"), refused.getMessage());
        assertEquals(
                expectThrows(InvalidQuantity.class, () -> new BenchScript(List.of(battery(5, 1, 0), battery(4, 1, 0))))
                        .field(),
                "turns.seconds");
        assertEquals(Optional.of(true), Optional.of(SupplyBench.knobs(PLAN).contains("sun_altitude_degrees")));
    }

    /** Turned at the very instant at which a delay is over, a knob does not undo what has happened. */
    @Test
    public void aScriptGrowsWithoutChangingWhatWas() {
        BenchState opened = play(PLAN, 30, battery(0, 22, 0));
        assertEquals(moves(opened, "radio").size(), 1);
        BenchState turnedBack = play(PLAN, 30, battery(0, 22, 0), battery(30, 26, 0));
        assertEquals(moves(turnedBack, "radio"), moves(opened, "radio"));
    }
}
