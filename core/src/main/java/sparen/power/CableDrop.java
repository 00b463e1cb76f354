package sparen.power;

/** What a cable takes on the way to a load of constant power behind a held voltage. Circuit law. */
public final class CableDrop {
    private CableDrop() {}

    /**
     * Current (A) for a power at the far end of a cable: the upper solution of I (V − R I) = P. Beyond what the cable can carry at all
     * it is V / 2R, where the far end gets the most it can.
     *
     * @param watts at the far end (W), 0 or more
     * @param volts at the near end (V), above 0
     * @param ohms out and back (Ω), 0 or more
     */
    public static double amperes(double watts, double volts, double ohms) {
        double root = volts * volts - 4 * ohms * watts;
        return root < 0 ? volts / (2 * ohms) : 2 * watts / (volts + Math.sqrt(root));
    }
}
