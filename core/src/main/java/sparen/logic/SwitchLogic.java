package sparen.logic;

/**
 * A two-state rule with its own condition and delay in each direction. Plain data; {@link Switch} is its working state.
 *
 * @param turnsOn what must hold while it is off
 * @param onDelaySeconds for how long (s)
 * @param turnsOff what must hold while it is on
 * @param offDelaySeconds for how long (s)
 * @param startsOn its state when a run begins
 * @param minimumOnSeconds it stays on so long at least once it has turned on (s)
 */
public record SwitchLogic(
        Condition turnsOn,
        double onDelaySeconds,
        Condition turnsOff,
        double offDelaySeconds,
        boolean startsOn,
        double minimumOnSeconds) {
    /** Without a minimum run. */
    public SwitchLogic(
            Condition turnsOn, double onDelaySeconds, Condition turnsOff, double offDelaySeconds, boolean startsOn) {
        this(turnsOn, onDelaySeconds, turnsOff, offDelaySeconds, startsOn, 0);
    }
}
