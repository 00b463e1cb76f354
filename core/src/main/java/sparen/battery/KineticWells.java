package sparen.battery;

/**
 * Capacity against rate by the kinetic battery model: two wells, one at hand and one that follows.
 *
 * <p>Source: J. F. Manwell and J. G. McGowan, Solar Energy 50 (1993) 399–405, formulas from memory; k is the one in the exponent.
 */
public final class KineticWells {
    private KineticWells() {}

    /**
     * What a steady current takes out of full wells in a given time, as a share of all that is in them.
     *
     * @param availableShare c (fraction), above 0 to 1
     * @param exchangePerHour k (1/h), above 0 unless c is 1
     * @param hours until the well at hand is empty (h), above 0
     */
    public static double capacityShare(double availableShare, double exchangePerHour, double hours) {
        if (availableShare == 1) {
            return 1;
        }
        double kt = exchangePerHour * hours;
        double decayed = -StrictMath.expm1(-kt);
        return kt * availableShare / (decayed + availableShare * (kt - decayed));
    }
}
