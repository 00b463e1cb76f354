package sparen.battery;

import java.util.List;
import sparen.quantity.Standard;
import sparen.site.Ageing;
import sparen.site.BatteryBank;
import sparen.site.BatteryTable;
import sparen.site.Chemistry;
import sparen.site.RcPair;

/**
 * The parameters of one battery's model at 25 °C: open-circuit voltage by straight lines over the charge at hand, resistances that act
 * at once, RC pairs, two kinetic wells, and the share of the charging current that makes gas.
 *
 * @param capacityCoulombs all charge from empty to full (C)
 * @param statesOfCharge knots of the open-circuit curve (fraction)
 * @param openCircuitVolts its voltages (V)
 * @param ohmicOhms acts at once (Ω)
 * @param rcOhms resistances of the RC pairs (Ω)
 * @param rcSeconds their time constants (s)
 * @param rcStartVolts their voltages at the start (V)
 * @param fullOhms extra resistance at full while charging (Ω): fullOhms × margin / (1 + margin − h) at available charge h
 * @param fullMargin how quickly that falls off below full (fraction)
 * @param emptyOhms extra resistance at empty while discharging (Ω): emptyOhms × margin / (h + margin)
 * @param emptyMargin how quickly that falls off above empty (fraction)
 * @param gasMargin share of the charging current that makes gas is margin / (1 + margin − h); 0 for none
 * @param availableShare part of the charge at hand at once (fraction), 1 for all
 * @param exchangePerSecond how quickly the rest follows (1/s)
 * @param selfDischargeAmperes (A)
 * @param voltsPerKelvin rise of the whole open-circuit curve with temperature (V/K)
 * @param resistanceKelvin B of all resistances (K)
 * @param exchangeKelvin B of the exchange (K)
 */
public record BatteryModel(
        double capacityCoulombs,
        double[] statesOfCharge,
        double[] openCircuitVolts,
        double ohmicOhms,
        double[] rcOhms,
        double[] rcSeconds,
        double[] rcStartVolts,
        double fullOhms,
        double fullMargin,
        double emptyOhms,
        double emptyMargin,
        double gasMargin,
        double availableShare,
        double exchangePerSecond,
        double selfDischargeAmperes,
        double voltsPerKelvin,
        double resistanceKelvin,
        double exchangeKelvin) {
    private static final double KELVIN = 273.15;
    private static final double SECONDS_PER_MONTH = 30.4375 * 86_400;

    /** The model of a whole bank as one battery: its own table, or its chemistry's parameters scaled to cells and capacity. */
    public static BatteryModel of(BatteryBank bank) {
        return part(bank, 1, Ageing.NONE);
    }

    /**
     * The model of a part of a bank.
     *
     * @param capacityShare its part of the bank's capacity (fraction)
     * @param ageing beyond the bank's own
     */
    public static BatteryModel part(BatteryBank bank, double capacityShare, Ageing ageing) {
        Ageing all = bank.ageing().orElse(Ageing.NONE).and(ageing);
        double ampereHours = bank.capacityAmpereHours() * capacityShare;
        return bank.chemistry() == Chemistry.USER_TABLE
                ? ofTable(ampereHours, capacityShare, bank.table().orElseThrow(), all)
                : ofCells(
                        Chemistries.of(bank.chemistry()), bank.cellsInSeries(), ampereHours, bank.capacityHours(), all);
    }

    /** A battery of constant resistance: open-circuit curve, ohmic part and RC pairs, and nothing else. */
    public static BatteryModel plain(
            double capacityCoulombs,
            double[] statesOfCharge,
            double[] openCircuitVolts,
            double ohmicOhms,
            double[] rcOhms,
            double[] rcSeconds,
            double[] rcStartVolts) {
        return new BatteryModel(
                capacityCoulombs,
                statesOfCharge,
                openCircuitVolts,
                ohmicOhms,
                rcOhms,
                rcSeconds,
                rcStartVolts,
                0,
                1,
                0,
                1,
                0,
                1,
                0,
                0,
                0,
                0,
                0);
    }

    /** All resistance a steady load sees in the end, without those near full and empty (Ω). */
    public double settledOhms() {
        double sum = ohmicOhms;
        for (double ohms : rcOhms) {
            sum += ohms;
        }
        return sum;
    }

    /** By what all resistances are multiplied at a temperature (°C). */
    public double resistanceFactor(double celsius) {
        return arrhenius(resistanceKelvin, celsius);
    }

    /** By what the exchange between the wells is multiplied at a temperature (°C). */
    public double exchangeFactor(double celsius) {
        return 1 / arrhenius(exchangeKelvin, celsius);
    }

    private static double arrhenius(double b, double celsius) {
        return b == 0 ? 1 : StrictMath.exp(b * (1 / (celsius + KELVIN) - 1 / (Standard.BATTERY_CELSIUS + KELVIN)));
    }

    private static BatteryModel ofCells(
            CellParameters cell, int cells, double ampereHours, double hours, Ageing ageing) {
        double scale = cells / ampereHours * ageing.resistanceFactor();
        double share = KineticWells.capacityShare(cell.availableShare(), cell.exchangePerHour(), hours);
        double coulombs = ampereHours * ageing.capacityFraction() * 3600 / share;
        return new BatteryModel(
                coulombs,
                cell.statesOfCharge(),
                scaled(cell.restVolts(), cells),
                cell.ohmic() * scale,
                scaled(cell.rc(), scale),
                cell.rcSeconds(),
                new double[cell.rc().length],
                cell.full() * scale,
                cell.fullMargin(),
                cell.empty() * scale,
                cell.emptyMargin(),
                cell.gasMargin(),
                cell.availableShare(),
                cell.exchangePerHour() / 3600,
                cell.selfDischargePerMonth() * coulombs / SECONDS_PER_MONTH,
                cell.restVoltsPerKelvin() * cells,
                cell.resistanceKelvin(),
                cell.exchangeKelvin());
    }

    private static BatteryModel ofTable(double ampereHours, double capacityShare, BatteryTable table, Ageing ageing) {
        List<RcPair> pairs = table.rcPairs();
        double scale = ageing.resistanceFactor() / capacityShare;
        return plain(
                ampereHours * 3600 * ageing.capacityFraction(),
                table.statesOfCharge().stream().mapToDouble(Double::doubleValue).toArray(),
                table.openCircuitVolts().stream()
                        .mapToDouble(Double::doubleValue)
                        .toArray(),
                table.ohmicOhms() * scale,
                scaled(pairs.stream().mapToDouble(RcPair::ohms).toArray(), scale),
                pairs.stream().mapToDouble(pair -> pair.ohms() * pair.farads()).toArray(),
                pairs.stream().mapToDouble(RcPair::startVolts).toArray());
    }

    private static double[] scaled(double[] values, double factor) {
        double[] scaled = values.clone();
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] *= factor;
        }
        return scaled;
    }
}
