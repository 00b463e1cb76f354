package sparen.battery;

/**
 * What one cell of a chemistry is like at 25 °C. Resistances fall with size and are given in Ω·Ah, so that a cell of 100 Ah has a
 * hundredth of them.
 *
 * @param statesOfCharge knots of the rest curve, rising from 0 to 1 (fraction)
 * @param restVolts voltage at rest at each (V)
 * @param restVoltsPerKelvin by which all of them rise with temperature (V/K)
 * @param ohmic acts at once (Ω·Ah)
 * @param rc resistances of the rebound elements (Ω·Ah)
 * @param rcSeconds their time constants (s)
 * @param nearFull against charging near full
 * @param empty resistance to discharging at empty (Ω·Ah); at h it is empty × margin / (h + margin)
 * @param emptyMargin see there (fraction)
 * @param gasMargin share of the charging current that makes gas: margin / (1 + margin − h); 0 for none
 * @param wells how the charge is at hand
 * @param selfDischargePerMonth at 25 °C (fraction)
 * @param resistanceKelvin all other resistances rise in the cold as exp(B (1/T − 1/298.15 K)): B (K)
 */
record CellParameters(
        double[] statesOfCharge,
        double[] restVolts,
        double restVoltsPerKelvin,
        double ohmic,
        double[] rc,
        double[] rcSeconds,
        NearFull nearFull,
        double empty,
        double emptyMargin,
        double gasMargin,
        KineticWells wells,
        double selfDischargePerMonth,
        double resistanceKelvin) {}
