package sparen.battery;

import java.util.List;
import sparen.site.BatteryBank;
import sparen.site.BatteryTable;
import sparen.site.Chemistry;
import sparen.site.RcPair;

/**
 * The parameters of a bank's model: open-circuit voltage by straight lines, an ohmic resistance, RC pairs, and near full a
 * charging resistance that grows as the plates run out of material to convert (the polarization term of C. M. Shepherd, J.
 * Electrochem. Soc. 112, 1965, from memory).
 *
 * @param capacityCoulombs charge from empty to full (C)
 * @param statesOfCharge knots of the open-circuit curve (fraction)
 * @param openCircuitVolts its voltages (V)
 * @param ohmicOhms acts at once (Ω)
 * @param rcOhms resistances of the RC pairs (Ω)
 * @param rcSeconds their time constants (s)
 * @param rcStartVolts their voltages at the start (V)
 * @param chargeEfficiency charge stored of charge put in (fraction)
 * @param fullOhms extra resistance at full while charging (Ω)
 * @param fullMargin how quickly that falls off below full (fraction): at s it is fullOhms × margin / (1 + margin − s)
 */
public record BatteryModel(
        double capacityCoulombs,
        double[] statesOfCharge,
        double[] openCircuitVolts,
        double ohmicOhms,
        double[] rcOhms,
        double[] rcSeconds,
        double[] rcStartVolts,
        double chargeEfficiency,
        double fullOhms,
        double fullMargin) {

    /** The model of a bank: its own table, or its chemistry's parameters scaled to cells and capacity. */
    public static BatteryModel of(BatteryBank bank) {
        return bank.chemistry() == Chemistry.USER_TABLE
                ? ofTable(bank.capacityAmpereHours(), bank.table().orElseThrow())
                : GelParameters.model(bank.cellsInSeries(), bank.capacityAmpereHours());
    }

    /** All resistance a steady load sees in the end, without the one near full (Ω). */
    public double settledOhms() {
        double sum = ohmicOhms;
        for (double ohms : rcOhms) {
            sum += ohms;
        }
        return sum;
    }

    private static BatteryModel ofTable(double ampereHours, BatteryTable table) {
        List<RcPair> pairs = table.rcPairs();
        return new BatteryModel(
                ampereHours * 3600,
                table.statesOfCharge().stream().mapToDouble(Double::doubleValue).toArray(),
                table.openCircuitVolts().stream()
                        .mapToDouble(Double::doubleValue)
                        .toArray(),
                table.ohmicOhms(),
                pairs.stream().mapToDouble(RcPair::ohms).toArray(),
                pairs.stream().mapToDouble(pair -> pair.ohms() * pair.farads()).toArray(),
                pairs.stream().mapToDouble(RcPair::startVolts).toArray(),
                1,
                0,
                1);
    }
}
