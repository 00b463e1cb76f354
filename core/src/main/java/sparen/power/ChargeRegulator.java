package sparen.power;

import sparen.logic.Timer;
import sparen.program.ChargeProgram;

/**
 * A charge controller at work in one run: its stage and which of its limits is in force.
 *
 * <p>The absorption timer runs only while the voltage is held; a cloud pauses it, a new cycle resets it.
 */
public final class ChargeRegulator {
    /** What limits the controller's output at an instant. */
    public enum Limit {
        /** It gives all the array has. */
        ARRAY_POWER,
        /** Its largest current. */
        CURRENT,
        /** The voltage it regulates. */
        VOLTAGE,
        /** The bus is above its voltage, or there is no sun: it gives nothing. */
        NOTHING
    }

    private final ChargeProgram program;
    private final double maximumAmperes;
    private final Timer recharge;
    private ChargeStage stage = ChargeStage.BULK;
    private Limit limit = Limit.NOTHING;
    private double watts;
    private double absorbedSeconds;
    private double heldSinceSeconds = Double.NaN;

    /**
     * @param program its setpoints
     * @param maximumAmperes what its output can give (A)
     */
    public ChargeRegulator(ChargeProgram program, double maximumAmperes) {
        this.program = program;
        this.maximumAmperes = maximumAmperes;
        recharge = new Timer(program.rechargeDelaySeconds());
    }

    /** Takes the power (W) its output could give from its arrays from now on. */
    public void offer(double outputWatts) {
        watts = outputWatts;
        if (watts <= 0) {
            limit = Limit.NOTHING;
        } else if (limit == Limit.NOTHING) {
            limit = Limit.ARRAY_POWER;
        }
    }

    /** Puts the limit in force on its branch of the bus. */
    public void apply(BusBalance bus, int branch) {
        switch (limit) {
            case ARRAY_POWER -> bus.setPower(branch, watts);
            case CURRENT -> bus.setCurrent(branch, maximumAmperes, 0);
            case VOLTAGE -> bus.setHeld(branch, regulationVolts());
            case NOTHING -> bus.setOpen(branch);
        }
    }

    /**
     * Looks at the solved balance and changes the limit if another is stricter.
     *
     * @return whether it changed, so that the balance must be solved again
     */
    public boolean reconsider(BusBalance bus, int branch) {
        Limit stricter = strictest(bus.current(branch)[0], bus.farVolts(branch)[0]);
        boolean changed = stricter != limit;
        limit = stricter;
        return changed;
    }

    private Limit strictest(double amperes, double volts) {
        double set = regulationVolts();
        if (watts <= 0) {
            return Limit.NOTHING;
        }
        return switch (limit) {
            case ARRAY_POWER -> volts > set ? Limit.VOLTAGE : amperes > maximumAmperes ? Limit.CURRENT : limit;
            case CURRENT -> volts > set ? Limit.VOLTAGE : amperes * volts > watts ? Limit.ARRAY_POWER : limit;
            case VOLTAGE ->
                amperes < 0
                        ? Limit.NOTHING
                        : amperes > mostHeldAmperes()
                                ? (watts / set < maximumAmperes ? Limit.ARRAY_POWER : Limit.CURRENT)
                                : limit;
            case NOTHING -> volts < set ? Limit.VOLTAGE : limit;
        };
    }

    private double mostHeldAmperes() {
        return Math.min(watts / regulationVolts(), maximumAmperes);
    }

    /** The highest far-end voltage (V) at which the present limit stays in force. */
    public double highestVolts() {
        return switch (limit) {
            case ARRAY_POWER -> regulationVolts();
            case CURRENT -> Math.min(regulationVolts(), watts / maximumAmperes);
            case VOLTAGE, NOTHING -> Double.POSITIVE_INFINITY;
        };
    }

    /** The lowest far-end voltage (V) at which the present limit stays in force. */
    public double lowestVolts() {
        return limit == Limit.NOTHING && watts > 0 ? regulationVolts() : Double.NEGATIVE_INFINITY;
    }

    /** The largest current (A) at which the present limit stays in force. */
    public double highestAmperes() {
        return switch (limit) {
            case ARRAY_POWER -> maximumAmperes;
            case VOLTAGE -> mostHeldAmperes();
            case CURRENT, NOTHING -> Double.POSITIVE_INFINITY;
        };
    }

    /** The smallest current (A) at which the present limit stays in force. */
    public double lowestAmperes() {
        return limit == Limit.VOLTAGE ? 0 : Double.NEGATIVE_INFINITY;
    }

    /**
     * Moves from stage to stage at an instant (s), by the voltage at its terminals (V).
     *
     * @return whether the stage changed
     */
    public boolean settleStage(double seconds, double volts) {
        ChargeStage before = stage;
        boolean held = limit == Limit.VOLTAGE;
        if (stage == ChargeStage.BULK && held) {
            stage = ChargeStage.ABSORPTION;
            absorbedSeconds = 0;
        }
        keepAbsorptionTime(seconds, held);
        if (stage == ChargeStage.ABSORPTION && seconds >= absorptionDueSeconds()) {
            stage = ChargeStage.FLOAT;
            heldSinceSeconds = Double.NaN;
        }
        recharge.observe(seconds, stage != ChargeStage.BULK && volts <= program.rechargeVolts());
        if (recharge.isDue(seconds)) {
            recharge.reset();
            stage = ChargeStage.BULK;
            heldSinceSeconds = Double.NaN;
        }
        return stage != before;
    }

    private void keepAbsorptionTime(double seconds, boolean held) {
        boolean counting = !Double.isNaN(heldSinceSeconds);
        if (stage == ChargeStage.ABSORPTION && held && !counting) {
            heldSinceSeconds = seconds;
        } else if (counting && !held) {
            absorbedSeconds += seconds - heldSinceSeconds;
            heldSinceSeconds = Double.NaN;
        }
    }

    private double absorptionDueSeconds() {
        return Double.isNaN(heldSinceSeconds)
                ? Double.POSITIVE_INFINITY
                : heldSinceSeconds + program.absorptionSeconds() - absorbedSeconds;
    }

    /** The next instant (s) at which a timer of its stages is due. */
    public double dueSeconds() {
        return Math.min(absorptionDueSeconds(), recharge.dueSeconds());
    }

    /** The voltage (V) at its terminals below or above which its recharge condition changes its answer. */
    public double rechargeVolts() {
        return stage == ChargeStage.BULK ? Double.NaN : program.rechargeVolts();
    }

    /** The voltage (V) it regulates to in its present stage. */
    public double regulationVolts() {
        return stage == ChargeStage.FLOAT ? program.floatVolts() : program.absorptionVolts();
    }

    /** Its present stage. */
    public ChargeStage stage() {
        return stage;
    }

    /** The limit in force. */
    public Limit limit() {
        return limit;
    }
}
