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
 * @param full resistance to charging at full (Ω·Ah); at available charge h it is full × margin / (1 + margin − h)
 * @param fullMargin see there (fraction)
 * @param empty resistance to discharging at empty (Ω·Ah); at h it is empty × margin / (h + margin)
 * @param emptyMargin see there (fraction)
 * @param gasMargin share of the charging current that makes gas: margin / (1 + margin − h); 0 for none
 * @param availableShare part of the charge that is at hand at once, c of the kinetic model (fraction); 1 for all
 * @param exchangePerHour how quickly the rest follows, k of the kinetic model (1/h)
 * @param selfDischargePerMonth at 25 °C (fraction)
 * @param resistanceKelvin all resistances rise in the cold as exp(B (1/T − 1/298.15 K)): B (K)
 * @param exchangeKelvin the exchange falls in the cold in the same way: B (K)
 */
record CellParameters(
        double[] statesOfCharge,
        double[] restVolts,
        double restVoltsPerKelvin,
        double ohmic,
        double[] rc,
        double[] rcSeconds,
        double full,
        double fullMargin,
        double empty,
        double emptyMargin,
        double gasMargin,
        double availableShare,
        double exchangePerHour,
        double selfDischargePerMonth,
        double resistanceKelvin,
        double exchangeKelvin) {}
