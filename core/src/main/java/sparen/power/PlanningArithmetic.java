package sparen.power;

/** The arithmetic that is done on paper before anything is programmed. Planning figures; local codes decide. */
public final class PlanningArithmetic {
    private static final double OPENING_SQUARE_CENTIMETRES = 28;
    private static final double DISTANCE_MILLIMETRES = 28.8;
    private static final double HOURS_PER_CHARGE = 0.42;

    private PlanningArithmetic() {}

    /**
     * Air that a battery room needs (m³/h): Q = 0.05 n I C / 1000. Source: EN IEC 62485-2, from memory.
     *
     * @param cells in series
     * @param gasMilliamperesPerAmpereHour current that makes gas: 5 floating and 20 boosting a vented battery, 1 and 8 a sealed one
     * @param ampereHours capacity (Ah)
     */
    public static double ventilationCubicMetresPerHour(
            int cells, double gasMilliamperesPerAmpereHour, double ampereHours) {
        return airForGas(cells, gasMilliamperesPerAmpereHour * ampereHours / 1000);
    }

    /** Air flow (m³/h) for cells in series in each of which a current (A) makes gas. Source: EN IEC 62485-2, from memory. */
    public static double airForGas(int cells, double gasAmperes) {
        return 0.05 * cells * gasAmperes;
    }

    /** Opening for the inlet and again for the outlet (cm²) for an air flow (m³/h). Source: EN IEC 62485-2, from memory. */
    public static double ventilationOpeningSquareCentimetres(double cubicMetresPerHour) {
        return OPENING_SQUARE_CENTIMETRES * cubicMetresPerHour;
    }

    /** Distance to keep from sparks (mm). Source: EN IEC 62485-2, from memory. */
    public static double sparkDistanceMillimetres(double gasMilliamperesPerAmpereHour, double ampereHours) {
        return DISTANCE_MILLIMETRES * StrictMath.cbrt(gasMilliamperesPerAmpereHour * ampereHours);
    }

    /**
     * Least power of a diversion load (W): 150 % of what it must take. Source: NEC 690.72(B) as it stood before 2017, from memory;
     * where diversion is the sole regulation a second, independent means is asked for besides.
     */
    public static double diversionWatts(double arrayWatts) {
        return 1.5 * arrayWatts;
    }

    /** Highest resistance (Ω) that takes a power (W) at a voltage (V). Circuit law. */
    public static double resistanceOhms(double volts, double watts) {
        return volts * volts / watts;
    }

    /** Charge current that an array can give (A): the least of the limit and power × efficiency over battery voltage. */
    public static double chargeAmperes(double arrayWatts, double efficiency, double batteryVolts, double limitAmperes) {
        return Math.min(limitAmperes, arrayWatts * efficiency / batteryVolts);
    }

    /** Charge current (A) that is left of a generator beside the loads. */
    public static double generatorChargeAmperes(
            double generatorVoltAmperes, double powerFactor, double loadWatts, double efficiency, double batteryVolts) {
        return (generatorVoltAmperes * powerFactor - loadWatts) * efficiency / batteryVolts;
    }

    /** Absorption time of a flooded bank (h): 0.42 × C20 / I. Common practice of battery makers, from memory. */
    public static double absorptionHours(double ampereHours20, double amperes) {
        return HOURS_PER_CHARGE * ampereHours20 / amperes;
    }
}
