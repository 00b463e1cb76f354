package sparen.logic;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Random programs on random signals, against a reader that knows no timers: it keeps the whole history and asks at every second
 * whether a way has held unbroken for its delay. Common practice, no source: this is how a technician checks it with a watch.
 */
public class SwitchAgainstTicksTest {
    private static final int SECONDS = 4000;

    @DataProvider
    private Object[][] seeds() {
        Object[][] rows = new Object[60][];
        for (int seed = 0; seed < rows.length; seed++) {
            rows[seed] = new Object[] {seed};
        }
        return rows;
    }

    @Test(dataProvider = "seeds")
    public void switchesWhenTheHistorySaysSo(int seed) {
        Random random = new Random(seed);
        double[] volts = walk(random, 12.4, 0.08);
        double[] watts = walk(random, 3, 0.5);
        SwitchLogic logic = new SwitchLogic(
                ways(random, true),
                ways(random, false),
                random.nextBoolean(),
                random.nextInt(3) * 40,
                random.nextInt(3) * 25,
                random.nextInt(4) == 0 ? 200 : Double.POSITIVE_INFINITY);
        List<String> expected = byHistory(logic, volts, watts);
        List<String> found = byTimers(logic, volts, watts);
        assertEquals(found, expected, "seed " + seed + ": " + logic);
    }

    /** The comparison is worth something only if the random programs do switch. */
    @Test
    public void theRandomProgramsSwitch() {
        int busy = 0;
        for (int seed = 0; seed < 60; seed++) {
            Random random = new Random(seed);
            double[] volts = walk(random, 12.4, 0.08);
            double[] watts = walk(random, 3, 0.5);
            SwitchLogic logic = SwitchLogic.startsOn(ways(random, true), ways(random, false));
            busy += byTimers(logic, volts, watts).size() > 2 ? 1 : 0;
        }
        assertTrue(busy > 40, busy + " of 60 switch more than twice");
    }

    private static double[] walk(Random random, double around, double step) {
        double[] values = new double[SECONDS];
        double value = around;
        for (int i = 0; i < SECONDS; i++) {
            if (random.nextInt(6) == 0) {
                value += (around - value) * 0.02 + step * random.nextGaussian();
            }
            values[i] = value;
        }
        return values;
    }

    private static List<Way> ways(Random random, boolean on) {
        List<Way> ways = new ArrayList<>();
        int count = 1 + random.nextInt(3);
        for (int i = 0; i < count; i++) {
            Condition level = on
                    ? new Condition.AtOrAbove(0, 12.4 + 0.2 * random.nextDouble())
                    : new Condition.AtOrBelow(0, 12.3 - 0.2 * random.nextDouble());
            Condition power = new Condition.AtOrAbove(1, 3 + random.nextDouble());
            Condition when =
                    switch (random.nextInt(4)) {
                        case 0 -> new Condition.AllOf(List.of(level, power));
                        case 1 -> new Condition.AnyOf(List.of(level, new Condition.Not(power)));
                        case 2 -> new Condition.Moving(on, 0, on ? 12.5 : 12.2, 1, 0.05, 3);
                        default -> level;
                    };
            ways.add(new Way(when, random.nextInt(4) * 15, 0, "way " + i, Optional.empty()));
        }
        return ways;
    }

    private static List<String> byTimers(SwitchLogic logic, double[] volts, double[] watts) {
        Switch one = new Switch(logic);
        List<String> found = new ArrayList<>();
        for (int second = 0; second < SECONDS; second++) {
            double[] signals = {volts[second], watts[second]};
            if (one.settle(second, signals)) {
                found.add(second + (one.isOn() ? " on" : " off"));
            }
        }
        return found;
    }

    /** What the class promises, read off the history of the signals second by second. */
    private static List<String> byHistory(SwitchLogic logic, double[] volts, double[] watts) {
        List<String> found = new ArrayList<>();
        boolean on = logic.startsOn();
        int since = 0;
        boolean rearm = false;
        int awaitedFrom = 0;
        boolean started = false;
        for (int second = 0; second < SECONDS; second++) {
            List<Way> awaited = on ? logic.turnsOff() : logic.turnsOn();
            if (rearm) {
                boolean gone = true;
                for (Way way : awaited) {
                    gone &= !way.when().holds(new double[] {volts[second], watts[second]});
                }
                rearm = !gone;
                awaitedFrom = second + 1;
                continue;
            }
            double minimum = !started ? 0 : on ? logic.minimumOnSeconds() : logic.minimumOffSeconds();
            boolean tooLong = started && on && second - since >= logic.longestOnSeconds();
            boolean turns = false;
            for (Way way : awaited) {
                turns |= heldFor(way, awaitedFrom, second, volts, watts);
            }
            if (tooLong || turns && second - since >= minimum) {
                on = !on;
                since = second;
                started = true;
                awaitedFrom = second;
                rearm = tooLong;
                found.add(second + (on ? " on" : " off"));
            }
        }
        return found;
    }

    private static boolean heldFor(Way way, int from, int now, double[] volts, double[] watts) {
        int first = now - (int) way.delaySeconds();
        if (first < from) {
            return false;
        }
        for (int second = first; second <= now; second++) {
            if (!way.when().holds(new double[] {volts[second], watts[second]})) {
                return false;
            }
        }
        return true;
    }
}
