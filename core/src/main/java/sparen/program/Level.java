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
        DISCONNECT(true, false),
        RECONNECT(false, false),
        CUT_OFF(true, false),
        SHED(true, false),
        WARNING(true, false),
        CLEARS(false, false),
        TRANSFER_TO_AC(true, false),
        BACK_TO_BATTERY(false, false),
        GENERATOR_START(true, false),
        SURPLUS_ON(false, false),
        SURPLUS_OFF(true, false),
        OVER_VOLTAGE_STOP(false, false),
        OVER_VOLTAGE_RELEASE(true, false),
        GASSING(false, false),
        DISCONNECT_SOC(true, true),
        RECONNECT_SOC(false, true),
        SURPLUS_ON_SOC(false, true),
        SURPLUS_OFF_SOC(true, true),
        GENERATOR_START_SOC(true, true),
        GENERATOR_STOP_SOC(false, true);

        private final boolean falling;
        private final boolean percent;

        Role(boolean falling, boolean percent) {
            this.falling = falling;
            this.percent = percent;
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
            boolean opens = disconnects()
                    || this == DISCONNECT_SOC
                    || this == CLEARS
                    || this == SURPLUS_OFF
                    || this == SURPLUS_OFF_SOC
                    || this == GENERATOR_STOP_SOC;
            return opens == closed;
        }

        /** Whether a load is taken off there. */
        public boolean disconnects() {
            return this == DISCONNECT || this == CUT_OFF || this == SHED;
        }
    }

    static Level volts(String field, String term, Role role, double volts, String sensePoint) {
        return new Level(field, term, role, volts, Optional.ofNullable(sensePoint), 0);
    }

    static Level volts(
            String field, String term, Role role, double volts, String sensePoint, Optional<Double> perKelvin) {
        return new Level(field, term, role, volts, Optional.ofNullable(sensePoint), perKelvin.orElse(0.0));
    }

    static Level percent(String field, String term, Role role, double percent) {
        return new Level(field, term, role, percent, Optional.empty(), 0);
    }
}
