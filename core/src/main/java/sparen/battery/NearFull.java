package sparen.battery;

/**
 * What a battery puts up against charging on top of its other resistances, the more the fuller it is: a voltage P = a I with a = ohms ×
 * margin / (1 + margin − h) at charge h at hand, held below B = mostVolts + mostOhms I, where the current makes gas and no more charge:
 * P B / (P + B). So a small current sees a resistance, and a large one ends at the published final voltage.
 *
 * <p>Sources: the rise after C. M. Shepherd, J. Electrochem. Soc. 112 (1965); the final voltage J. B. Copetti, E. Lorenzo and F. Chenlo,
 * Prog. Photovolt. 1 (1993) 283–292; both from memory. How they are joined is this model's own.
 *
 * @param ohms at full (Ω; of a cell Ω·Ah)
 * @param margin how quickly it falls off below full (fraction)
 * @param kelvin B of these ohms in the cold (K)
 * @param mostVolts (V), infinite where nothing gasses
 * @param mostOhms (Ω; of a cell Ω·Ah)
 * @param mostVoltsPerKelvin by which mostVolts changes with temperature (V/K)
 */
public record NearFull(
        double ohms, double margin, double kelvin, double mostVolts, double mostOhms, double mostVoltsPerKelvin) {
    /** Nothing. */
    public static final NearFull NONE = new NearFull(0, 1, 0, Double.POSITIVE_INFINITY, 0, 0);

    /** A resistance that no gas bounds. */
    static NearFull unbounded(double ohms, double margin, double kelvin) {
        return new NearFull(ohms, margin, kelvin, Double.POSITIVE_INFINITY, 0, 0);
    }

    /** Whether gas bounds it. */
    public boolean isBounded() {
        return mostVolts < Double.POSITIVE_INFINITY;
    }

    /** That of cells in series, with resistances scaled by a factor. */
    NearFull scaled(int cells, double ohmic) {
        return new NearFull(
                ohms * ohmic, margin, kelvin, mostVolts * cells, mostOhms * ohmic, mostVoltsPerKelvin * cells);
    }
}
