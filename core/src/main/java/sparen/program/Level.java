package sparen.program;

import java.util.Optional;

/**
 * A level at which a rule acts, for all that looks at levels side by side.
 *
 * @param field the rule's component that holds it
 * @param term the trade's term for it
 * @param role what happens there
 * @param value whole-bank voltage (V), or state of charge (%)
 * @param sensePoint id of the point where it is read; empty for a report in percent and for the main bus itself
 * @param millivoltsPerKelvin how it moves with the battery's temperature, for each cell (mV/K)
 */
public record Level(
        String field, String term, Role role, double value, Optional<String> sensePoint, double millivoltsPerKelvin) {
    /** What happens at a level. */
    public enum Role {
        DISCONNECT(true, false, true),
        RECONNECT(false, false, false),
        CUT_OFF(true, false, true),
        SHED(true, false, true),
        WARNING(true, false, false),
        CLEARS(false, false, true),
        TRANSFER_TO_AC(true, false, true),
        BACK_TO_BATTERY(false, false, false),
        GENERATOR_START(true, false, false),
        SURPLUS_ON(false, false, false),
        SURPLUS_OFF(true, false, true),
        OVER_VOLTAGE_STOP(false, false, true),
        OVER_VOLTAGE_RELEASE(true, false, false),
        GASSING(false, false, false),
        DISCONNECT_SOC(true, true, true),
        RECONNECT_SOC(false, true, false),
        SURPLUS_ON_SOC(false, true, false),
        SURPLUS_OFF_SOC(true, true, true),
        GENERATOR_START_SOC(true, true, false),
        GENERATOR_STOP_SOC(false, true, true);

        private final boolean falling;
        private final boolean percent;
        private final boolean opens;

        Role(boolean falling, boolean percent, boolean opens) {
            this.falling = falling;
            this.percent = percent;
            this.opens = opens;
        }

        /** Whether it acts when the value falls to it, else when it rises to it. */
        public boolean falling() {
            return falling;
        }

        /** Whether it is a state of charge (%), else a voltage (V). */
        public boolean percent() {
            return percent;
        }

        /** Whether an output whose contact is in this position waits for it: it would move there. */
        public boolean awaitedWhen(boolean closed) {
            return opens == closed;
        }

        /** Whether a load is taken off there. */
        public boolean disconnects() {
            return this == DISCONNECT || this == CUT_OFF || this == SHED;
        }
    }

    /** A voltage (V) read at a sense point; null for none. */
    public static Level volts(String field, String term, Role role, double volts, String sensePoint) {
        return new Level(field, term, role, volts, Optional.ofNullable(sensePoint), 0);
    }

    /** A voltage (V) that moves with the battery's temperature. */
    public static Level volts(
            String field, String term, Role role, double volts, String sensePoint, Optional<Double> perKelvin) {
        return new Level(field, term, role, volts, Optional.ofNullable(sensePoint), perKelvin.orElse(0.0));
    }

    /** A state of charge (%) a monitor reports. */
    public static Level percent(String field, String term, Role role, double percent) {
        return new Level(field, term, role, percent, Optional.empty(), 0);
    }
}
