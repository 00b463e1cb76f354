package sparen.logic;

import java.util.BitSet;
import java.util.List;

/**
 * A two-state rule: the ways in which it turns on and off. Plain data; {@link Switch} is its working state.
 *
 * @param turnsOn any of these turns it on
 * @param turnsOff any of these turns it off
 * @param startsOn its state when a run begins, and when its device is fed again
 * @param minimumOnSeconds it stays on so long at least (s)
 * @param minimumOffSeconds it stays off so long at least (s)
 * @param longestOnSeconds it turns off after so long (s), and not on again before every way to turn on has been closed once; infinite
 *     for no such limit
 */
public record SwitchLogic(
        List<Way> turnsOn,
        List<Way> turnsOff,
        boolean startsOn,
        double minimumOnSeconds,
        double minimumOffSeconds,
        double longestOnSeconds) {
    public SwitchLogic {
        turnsOn = List.copyOf(turnsOn);
        turnsOff = List.copyOf(turnsOff);
    }

    /** Adds the signals it looks at. */
    public void signals(BitSet into) {
        turnsOn.forEach(way -> way.when().signals(into));
        turnsOff.forEach(way -> way.when().signals(into));
    }

    /** One that is off at the start, without limits on how long it stays. */
    public static SwitchLogic startsOff(List<Way> turnsOn, List<Way> turnsOff) {
        return new SwitchLogic(turnsOn, turnsOff, false, 0, 0, Double.POSITIVE_INFINITY);
    }

    /** One that is on at the start, without limits on how long it stays. */
    public static SwitchLogic startsOn(List<Way> turnsOn, List<Way> turnsOff) {
        return new SwitchLogic(turnsOn, turnsOff, true, 0, 0, Double.POSITIVE_INFINITY);
    }

    /** On while a condition holds and for no longer, with a delay (s) each way. */
    public static SwitchLogic follows(
            Condition condition, double onDelay, double offDelay, String onBecause, String offBecause) {
        return startsOff(
                List.of(Way.when(condition, onDelay, onBecause)),
                List.of(Way.when(new Condition.Not(condition), offDelay, offBecause)));
    }

    /** The same, on for so long at least (s). */
    public SwitchLogic onAtLeast(double seconds) {
        return new SwitchLogic(turnsOn, turnsOff, startsOn, seconds, minimumOffSeconds, longestOnSeconds);
    }

    /** The same, off for so long at least (s). */
    public SwitchLogic offAtLeast(double seconds) {
        return new SwitchLogic(turnsOn, turnsOff, startsOn, minimumOnSeconds, seconds, longestOnSeconds);
    }

    /** The same, on for so long at most (s). */
    public SwitchLogic onAtMost(double seconds) {
        return new SwitchLogic(turnsOn, turnsOff, startsOn, minimumOnSeconds, minimumOffSeconds, seconds);
    }
}
