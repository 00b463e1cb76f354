package sparen.logic;

/** A {@link SwitchLogic} at work in one run. */
public final class Switch {
    private final SwitchLogic logic;
    private final Timer turningOn;
    private final Timer turningOff;
    private boolean on;
    private double heldUntil = Double.NEGATIVE_INFINITY;

    public Switch(SwitchLogic logic) {
        this.logic = logic;
        turningOn = new Timer(logic.onDelaySeconds());
        turningOff = new Timer(logic.offDelaySeconds());
        on = logic.startsOn();
    }

    /** Whether it is on. */
    public boolean isOn() {
        return on;
    }

    /**
     * Looks at the signals at an instant (s) and changes state at most once.
     *
     * @return whether it changed
     */
    public boolean settle(double seconds, double[] signals) {
        Timer timer = waiting();
        timer.observe(seconds, awaited().holds(signals));
        if (!timer.isDue(seconds) || on && seconds < heldUntil) {
            return false;
        }
        timer.reset();
        on = !on;
        heldUntil = seconds + logic.minimumOnSeconds();
        waiting().observe(seconds, awaited().holds(signals));
        return true;
    }

    /** The instant (s) of its next change if all conditions stay as they are; infinite when none is coming. */
    public double dueSeconds() {
        double due = waiting().dueSeconds();
        return on ? Math.max(due, heldUntil) : due;
    }

    /** Forgets all it has waited for and goes back to its state at the start, as a device does that has lost its supply. */
    public void restart() {
        turningOn.reset();
        turningOff.reset();
        on = logic.startsOn();
        heldUntil = Double.NEGATIVE_INFINITY;
    }

    /** Narrows the signals' intervals to where its awaited condition keeps its answer. */
    public void narrow(double[] signals, double[] low, double[] high) {
        awaited().narrow(signals, low, high);
    }

    /** The condition whose delay is awaited in the present state. */
    public Condition awaited() {
        return on ? logic.turnsOff() : logic.turnsOn();
    }

    private Timer waiting() {
        return on ? turningOff : turningOn;
    }
}
