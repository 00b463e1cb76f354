package sparen.logic;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

/** The promises of the package, by number. */
public class SwitchTest {
    private static Switch disconnect() {
        return new Switch(SwitchLogic.startsOn(
                List.of(Way.when(new Condition.AtOrAbove(0, 12.6), 60, "LVR")),
                List.of(Way.when(new Condition.AtOrBelow(0, 11.6), 20, "LVD"))));
    }

    @Test
    public void promise1ConditionsAreTrueAtEquality() {
        assertTrue(new Condition.AtOrBelow(0, 11.6).holds(new double[] {11.6}));
        assertTrue(new Condition.AtOrAbove(0, 11.6).holds(new double[] {11.6}));
        assertFalse(new Condition.AtOrBelow(0, 11.6).holds(new double[] {Math.nextUp(11.6)}));
    }

    @Test
    public void promise2ABreakOfAnInstantStartsTheDelayAnew() {
        Switch load = disconnect();
        load.settle(0, new double[] {11.5});
        assertEquals(load.dueSeconds(), 20.0);
        load.settle(19.999, new double[] {11.7});
        load.settle(19.999, new double[] {11.5});
        assertFalse(load.settle(20, new double[] {11.5}));
        double due = load.dueSeconds();
        assertEquals(due, 39.999, 1e-9);
        assertTrue(load.settle(due, new double[] {11.5}));
        assertFalse(load.isOn());
    }

    @Test
    public void promise3OnlyTheAwaitedConditionCounts() {
        Switch load = disconnect();
        assertFalse(load.settle(0, new double[] {13}));
        assertEquals(load.dueSeconds(), Double.POSITIVE_INFINITY);
    }

    @Test
    public void promise4InsideItsIntervalAnAnswerStays() {
        double[] low = {Double.NEGATIVE_INFINITY};
        double[] high = {Double.POSITIVE_INFINITY};
        Condition condition = new Condition.AtOrBelow(0, 11.6);
        condition.narrow(new double[] {12}, low, high);
        assertFalse(condition.holds(low), "the interval ends just before the answer changes");
        assertTrue(condition.holds(new double[] {Math.nextDown(low[0])}));
    }

    private static Condition high() {
        return new Condition.AtOrAbove(0, 1);
    }

    /** Of two ways the one whose delay is over first turns it, and it says which. */
    @Test
    public void anyOfItsWaysTurnsItAndItSaysWhich() {
        Way slow = Way.when(high(), 20, "slow");
        Way quick = Way.when(new Condition.AtOrAbove(0, 2), 5, "quick");
        Switch on = new Switch(SwitchLogic.startsOff(List.of(slow, quick), List.of()));
        on.settle(0, new double[] {1.5});
        on.settle(10, new double[] {2});
        assertEquals(on.dueSeconds(), 15.0);
        assertTrue(on.settle(15, new double[] {2}));
        assertEquals(on.lastWay().because(), "quick");
    }

    @Test
    public void minimumTimesHoldItBothWays() {
        Switch held = new Switch(
                SwitchLogic.follows(high(), 0, 0, "on", "off").onAtLeast(30).offAtLeast(50));
        assertTrue(held.settle(0, new double[] {1}));
        assertFalse(held.settle(10, new double[] {0}));
        assertEquals(held.dueSeconds(), 30.0);
        assertEquals(held.countdowns(10).get(0).remainingSeconds(), 20.0);
        assertTrue(held.settle(30, new double[] {0}));
        assertFalse(held.settle(40, new double[] {1}));
        assertTrue(held.settle(80, new double[] {1}));
    }

    /** After its longest run it waits until its condition has been gone once, be it for an instant. */
    @Test
    public void theLongestRunMustBeArmedAnew() {
        Switch once = new Switch(SwitchLogic.follows(high(), 0, 0, "on", "off").onAtMost(60));
        assertTrue(once.settle(0, new double[] {1}));
        assertTrue(once.settle(60, new double[] {1}));
        assertFalse(once.settle(100, new double[] {1}));
        assertFalse(once.settle(200, new double[] {0}));
        assertTrue(once.settle(200, new double[] {1}));
    }

    /** A way that looks every ten seconds sees a condition, and the end of its delay, at whole tens only. */
    @Test
    public void promise5LooksAtWholeMultiples() {
        Way sampled = new Way(high(), 12, 10, "sampled", Optional.empty());
        Switch on = new Switch(SwitchLogic.startsOff(List.of(sampled), List.of()));
        on.settle(0, new double[] {0});
        assertFalse(on.settle(3, new double[] {1}));
        assertEquals(on.dueSeconds(), 10.0);
        assertFalse(on.settle(10, new double[] {1}));
        assertEquals(on.dueSeconds(), 30.0, 1e-9);
        assertFalse(on.settle(14, new double[] {0}), "gone between two looks");
        assertFalse(on.settle(16, new double[] {1}), "and back: nothing was seen");
        assertTrue(on.settle(30, new double[] {1}));
    }

    /** A level that moves with another signal: the interval of the other is shut at what it is. */
    @Test
    public void aMovingLevelAwaitsTheOtherSignal() {
        Condition moving = new Condition.Moving(false, 0, 11.6, 1, -0.02, 25);
        assertTrue(moving.holds(new double[] {11.7, 15}), "11.6 V + 10 K × 20 mV is 11.8 V");
        assertFalse(moving.holds(new double[] {11.7, 25}));
        double[] low = {Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
        double[] high = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY};
        moving.narrow(new double[] {11.7, 15}, low, high);
        assertEquals(high[0], 11.8, 1e-12);
        assertEquals(low[1], high[1]);
    }
}
