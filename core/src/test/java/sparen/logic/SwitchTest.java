package sparen.logic;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
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
}
