package sparen.battery;

/**
 * Valve-regulated lead-acid with gelled electrolyte, per cell at 25 °C.
 *
 * <p>Origin of the numbers: rest voltages from common practice (12.8–13.0 V full, 11.7–12.0 V empty for six cells), with the fall
 * to 1.75 V a cell that ends the rated capacity put into the last 5 %;
 * resistances, time constants and the behaviour near full are judgement from the usual size of such cells, no published source.
 * They are to be replaced by measured values where a site has them (a battery table).
 */
final class GelParameters {
    private static final double[] STATES_OF_CHARGE = {0, 0.02, 0.05, 0.1, 0.2, 0.4, 0.6, 0.8, 0.9, 1};
    private static final double[] OPEN_CIRCUIT_VOLTS_PER_CELL = {
        1.750, 1.900, 1.945, 1.975, 2.000, 2.040, 2.075, 2.110, 2.128, 2.150
    };
    /** Resistances fall with size: these are Ω × Ah for one cell. */
    private static final double OHMIC = 0.12;

    private static final double[] RC = {0.10, 0.20};
    private static final double[] RC_SECONDS = {300, 5400};
    private static final double FULL = 50;
    private static final double FULL_MARGIN = 0.01;
    private static final double CHARGE_EFFICIENCY = 0.97;

    private GelParameters() {}

    static BatteryModel model(int cells, double ampereHours) {
        double scale = cells / ampereHours;
        double[] volts = OPEN_CIRCUIT_VOLTS_PER_CELL.clone();
        for (int i = 0; i < volts.length; i++) {
            volts[i] *= cells;
        }
        double[] rcOhms = RC.clone();
        for (int i = 0; i < rcOhms.length; i++) {
            rcOhms[i] *= scale;
        }
        return new BatteryModel(
                ampereHours * 3600,
                STATES_OF_CHARGE,
                volts,
                OHMIC * scale,
                rcOhms,
                RC_SECONDS,
                new double[RC.length],
                CHARGE_EFFICIENCY,
                FULL * scale,
                FULL_MARGIN);
    }
}
