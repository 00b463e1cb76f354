package sparen.fit;

import java.util.Optional;

/**
 * A number that recorded days were asked for.
 *
 * @param quantity which
 * @param value the likeliest, in the unit of the quantity
 * @param lowest with 95 % it is not below this
 * @param highest nor above this
 * @param planned what the plan has
 * @param cannotTell why the data say too little, in words; absent where they say enough
 */
public record Estimate(
        Quantity quantity, double value, double lowest, double highest, double planned, Optional<String> cannotTell) {
    /** What can be asked. */
    public enum Quantity {
        /** Of the bank over its stated hours (Ah). */
        CAPACITY("Ah"),
        /** Which a step of the current meets at once (Ω). */
        RESISTANCE_AT_ONCE("Ω"),
        /** Which a steady current meets in the end, away from full and empty (Ω). */
        RESISTANCE_IN_THE_END("Ω"),
        /** What the voltage is read too high by (V). */
        VOLTAGE_OFFSET("V"),
        /** What flows out without passing the shunt, or what it is off by (A). */
        UNSEEN_AMPERES("A"),
        /** What the arrays give, of what the plan has them give under a clear sky (×). */
        ARRAY_FACTOR("×");

        private final String unit;

        Quantity(String unit) {
            this.unit = unit;
        }

        /** As it stands behind the number. */
        public String unit() {
            return unit;
        }
    }
}
