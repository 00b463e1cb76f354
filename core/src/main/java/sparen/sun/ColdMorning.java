package sparen.sun;

/**
 * The highest string voltage, on the coldest morning.
 *
 * <p>Sources: NEC table 690.7(A), correction factors for crystalline silicon, and the coefficient of the module's sheet; both from
 * memory.
 */
public final class ColdMorning {
    private static final int WARMEST_ROW_CELSIUS = 20;
    private static final int COLDEST_ROW_CELSIUS = -40;
    private static final int ROW_KELVIN = 5;
    /** Rows of five kelvin from 20–24 °C down to −36–−40 °C. */
    private static final double[] FACTORS = {
        1.02, 1.04, 1.06, 1.08, 1.10, 1.12, 1.14, 1.16, 1.18, 1.20, 1.21, 1.23, 1.25
    };

    private ColdMorning() {}

    /**
     * The table's factor on the open-circuit voltage at 25 °C; 1 at 25 °C and above.
     *
     * @param celsius lowest expected air temperature (°C), −40 or more
     * @throws IllegalArgumentException below −40 °C, where the table ends
     */
    public static double factor(double celsius) {
        if (celsius < COLDEST_ROW_CELSIUS) {
            throw new IllegalArgumentException(
                    "celsius: " + celsius + " °C is below the table's end of " + COLDEST_ROW_CELSIUS + " °C");
        }
        if (celsius >= WARMEST_ROW_CELSIUS + ROW_KELVIN) {
            return 1;
        }
        int row = (int) Math.ceil((WARMEST_ROW_CELSIUS - celsius) / ROW_KELVIN);
        return FACTORS[Math.max(0, Math.min(FACTORS.length - 1, row))];
    }

    /** Open-circuit voltage (V) of modules in series by the table. */
    public static double stringVolts(double moduleVolts, int modules, double celsius) {
        return moduleVolts * modules * factor(celsius);
    }

    /** Open-circuit voltage (V) of modules in series by the sheet's coefficient (1/K, negative). */
    public static double stringVoltsByCoefficient(double moduleVolts, int modules, double celsius, double perKelvin) {
        return moduleVolts * modules * (1 + perKelvin * (celsius - 25));
    }
}
