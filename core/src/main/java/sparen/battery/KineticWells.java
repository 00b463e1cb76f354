package sparen.battery;

import sparen.quantity.Standard;

/**
 * Capacity against rate by the kinetic battery model: two wells, one at hand and one that follows. The one that follows does so at one
 * pace while it fills the other and at another while it is filled, each slower in the cold.
 *
 * <p>Source: J. F. Manwell and J. G. McGowan, Solar Energy 50 (1993) 399–405, formulas from memory; k is the one in the exponent. Two
 * paces are this model's own: capacity and charging voltage are published apart and do not agree on one.
 *
 * @param availableShare c: part of the charge that is at hand at once (fraction), above 0 to 1; 1 for all
 * @param followsPerHour k while the well at hand is the lower one, at 25 °C (1/h)
 * @param fillsPerHour k while it is the higher one, at 25 °C (1/h)
 * @param followsKelvin the first falls in the cold as exp(−B (1/T − 1/298.15 K)): B (K)
 * @param fillsKelvin the same of the second (K)
 */
public record KineticWells(
        double availableShare, double followsPerHour, double fillsPerHour, double followsKelvin, double fillsKelvin) {
    /** All of the charge is at hand. */
    public static final KineticWells NONE = new KineticWells(1, 0, 0, 0, 0);

    /** Whether there is a second well at all. */
    public boolean hasBoundWell() {
        return availableShare < 1;
    }

    /** How quickly the bound well fills the one at hand at a temperature (1/s). */
    public double followsPerSecond(double celsius) {
        return followsPerHour / Standard.HOUR / Arrhenius.factor(followsKelvin, celsius);
    }

    /** How quickly the bound well is filled by the one at hand at a temperature (1/s). */
    public double fillsPerSecond(double celsius) {
        return fillsPerHour / Standard.HOUR / Arrhenius.factor(fillsKelvin, celsius);
    }

    /**
     * What a steady current takes out of full wells in a given time at 25 °C, as a share of all that is in them.
     *
     * @param hours until the well at hand is empty (h), above 0
     */
    public double capacityShare(double hours) {
        if (!hasBoundWell()) {
            return 1;
        }
        double kt = followsPerHour * hours;
        double decayed = -StrictMath.expm1(-kt);
        return kt * availableShare / (decayed + availableShare * (kt - decayed));
    }
}
