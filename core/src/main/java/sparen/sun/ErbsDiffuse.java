package sparen.sun;

/**
 * Share of diffuse light in the irradiance on the level.
 *
 * <p>Source: D. G. Erbs, S. A. Klein, J. A. Duffie, Solar Energy 28 (1982) 293–302, coefficients from memory.
 */
public final class ErbsDiffuse {
    private ErbsDiffuse() {}

    /** The diffuse share (0 to 1) at a clearness index kt (0 to 1). */
    public static double share(double kt) {
        if (kt <= 0.22) {
            return 1 - 0.09 * kt;
        }
        return kt <= 0.80 ? 0.9511 + kt * (-0.1604 + kt * (4.388 + kt * (-16.638 + kt * 12.336))) : 0.165;
    }
}
