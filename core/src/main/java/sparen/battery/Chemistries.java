package sparen.battery;

import sparen.site.Chemistry;

/**
 * The parameters of all chemistries, each with its origin. They are those of a usual cell of the kind, not of any maker's; a site
 * that has measured its own battery gives a table.
 *
 * <p>Forms: kinetic wells by J. F. Manwell and J. G. McGowan, Solar Energy 50 (1993) 399–405; resistance near full and empty after
 * C. M. Shepherd, J. Electrochem. Soc. 112 (1965). Lead-acid numbers are fitted to the relations of J. B. Copetti, E. Lorenzo and
 * F. Chenlo, Prog. Photovolt. 1 (1993) 283–292, with the current scaled to the ten-hour capacity: capacity against rate, and the
 * voltages of discharge, of charge below the gassing voltage and at the end of it. All from memory; docs/model.md draws how well they fit.
 */
final class Chemistries {
    /**
     * Vented lead-acid. Rest voltages: common practice for six cells, 12.7 V full, 12.2–12.3 V half and 11.8–11.9 V empty at the ten-hour
     * rate, with the fall to 1.75 V a cell that ends a discharge in the last 3 %. Resistances, wells, what stands near full: fitted as
     * said above. Gas margin: fitted to the charge efficiency of the same authors. Self-discharge 4 % a month, common practice.
     * Temperature: B of the resistances gives 0.7 %/K near 25 °C and B near full what the charging voltages of the same authors rise by;
     * B of the wells what IEEE 485's temperature factors leave of the ten-hour capacity (from memory).
     */
    private static final CellParameters FLOODED = new CellParameters(
            new double[] {0, 0.03, 0.08, 0.2, 0.4, 0.6, 0.8, 0.9, 1},
            new double[] {1.750, 1.930, 1.955, 1.975, 2.008, 2.041, 2.080, 2.100, 2.120},
            0.0002,
            0.12,
            new double[] {0.11, 0.39},
            new double[] {240, 3600},
            new NearFull(190, 0.0034, 2400, 0.385, 1.1, -0.005),
            2.10,
            0.13,
            0.025,
            new KineticWells(0.36, 0.60, 1.80, 2800, 600),
            0.04,
            620);

    /** Absorbed glass mat. As flooded but: rest 12.8–13.0 V full (common practice), less resistance, little gas; judgement. */
    private static final CellParameters AGM = new CellParameters(
            new double[] {0, 0.03, 0.08, 0.2, 0.4, 0.6, 0.8, 0.9, 1},
            new double[] {1.750, 1.935, 1.965, 1.998, 2.036, 2.072, 2.108, 2.127, 2.148},
            0.0002,
            0.09,
            new double[] {0.08, 0.25},
            new double[] {240, 3600},
            new NearFull(200, 0.0034, 2400, 0.36, 1.1, -0.005),
            1.10,
            0.08,
            0.008,
            new KineticWells(0.45, 1.00, 3.00, 4600, 600),
            0.02,
            620);

    /** Gelled electrolyte. As AGM but with somewhat more resistance; judgement. */
    private static final CellParameters GEL = new CellParameters(
            new double[] {0, 0.03, 0.08, 0.2, 0.4, 0.6, 0.8, 0.9, 1},
            new double[] {1.750, 1.935, 1.965, 2.000, 2.040, 2.075, 2.110, 2.128, 2.150},
            0.0002,
            0.12,
            new double[] {0.10, 0.20},
            new double[] {300, 5400},
            new NearFull(200, 0.0034, 2400, 0.36, 1.1, -0.005),
            1.20,
            0.08,
            0.012,
            new KineticWells(0.42, 0.90, 2.70, 4000, 600),
            0.02,
            620);

    /**
     * Lithium iron phosphate. Rest curve: the usual flat one, from memory. Resistances: a prismatic cell of some hundred Ah has a
     * few tenths of a milliohm, from memory; they double near 0 °C (B 2400 K, from memory). Coulombic efficiency 99.8 %, common
     * practice. Self-discharge 2 % a month, common practice. The rise near full is judgement.
     */
    private static final CellParameters LITHIUM_IRON_PHOSPHATE = new CellParameters(
            new double[] {0, 0.01, 0.03, 0.06, 0.1, 0.15, 0.2, 0.3, 0.4, 0.55, 0.65, 0.7, 0.8, 0.95, 0.985, 1},
            new double[] {
                2.500, 2.780, 2.990, 3.120, 3.190, 3.215, 3.235, 3.262, 3.281, 3.294, 3.301, 3.318, 3.326, 3.332, 3.360,
                3.420
            },
            0.0001,
            0.070,
            new double[] {0.035, 0.055},
            new double[] {150, 1800},
            NearFull.unbounded(1.6, 0.02, 2400),
            0.35,
            0.02,
            0.0004,
            KineticWells.NONE,
            0.02,
            2400);

    /** Nickel manganese cobalt. Rest curve, resistances and efficiency: the usual ones of such cells, from memory. */
    private static final CellParameters NMC = new CellParameters(
            new double[] {0, 0.03, 0.06, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1},
            new double[] {3.000, 3.300, 3.420, 3.480, 3.560, 3.605, 3.640, 3.690, 3.770, 3.860, 3.950, 4.060, 4.180},
            0.0001,
            0.080,
            new double[] {0.040, 0.050},
            new double[] {120, 1200},
            NearFull.unbounded(0.8, 0.02, 2400),
            0.40,
            0.02,
            0.0004,
            KineticWells.NONE,
            0.02,
            2400);

    private Chemistries() {}

    /** The parameters of a chemistry that has some. */
    static CellParameters of(Chemistry chemistry) {
        return switch (chemistry) {
            case FLOODED -> FLOODED;
            case AGM -> AGM;
            case GEL -> GEL;
            case LITHIUM_IRON_PHOSPHATE -> LITHIUM_IRON_PHOSPHATE;
            case NMC -> NMC;
            case USER_TABLE -> throw new IllegalArgumentException("a battery table brings its own parameters");
        };
    }
}
