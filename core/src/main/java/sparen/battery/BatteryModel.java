package sparen.battery;

import java.util.List;
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
 * @param nearFull what it puts up against charging near full (V, Ω)
 * @param emptyOhms extra resistance at empty while discharging (Ω): emptyOhms × margin / (h + margin)
 * @param emptyMargin how quickly that falls off above empty (fraction)
 * @param gasMargin share of the charging current that makes gas is margin / (1 + margin − h); 0 for none
 * @param wells how the charge is at hand
 * @param statedShare what is stated as its capacity, as a share of all charge (fraction): at a slow rate there is more
 * @param selfDischargeAmperes (A)
 * @param voltsPerKelvin rise of the whole open-circuit curve with temperature (V/K)
 * @param resistanceKelvin B of all other resistances (K)
 */
public record BatteryModel(
        double capacityCoulombs,
        double[] statesOfCharge,
        double[] openCircuitVolts,
        double ohmicOhms,
        double[] rcOhms,
        double[] rcSeconds,
        double[] rcStartVolts,
        NearFull nearFull,
        double emptyOhms,
        double emptyMargin,
        double gasMargin,
        KineticWells wells,
        double statedShare,
        double selfDischargeAmperes,
        double voltsPerKelvin,
        double resistanceKelvin) {
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

    /**
     * The capacity of a new bank over a discharge of so many hours (Ah), from what it states over its own, by the kinetic model of its
     * chemistry; a bank by its own table has the same at any.
     */
    public static double ampereHours(BatteryBank bank, double hours) {
        if (bank.chemistry() == Chemistry.USER_TABLE) {
            return bank.capacityAmpereHours();
        }
        KineticWells wells = Chemistries.of(bank.chemistry()).wells();
        return bank.capacityAmpereHours() * wells.capacityShare(hours) / wells.capacityShare(bank.capacityHours());
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
                NearFull.NONE,
                0,
                1,
                0,
                KineticWells.NONE,
                1,
                0,
                0,
                0);
    }

    /**
     * The same with another capacity and other resistances.
     *
     * @param capacity all charge against this one's (×), above 0
     * @param ohmic what acts at once, and what stands near full and empty (×), above 0
     * @param rebound what acts with time (×), above 0
     */
    public BatteryModel scaled(double capacity, double ohmic, double rebound) {
        return new BatteryModel(
                capacityCoulombs * capacity,
                statesOfCharge,
                openCircuitVolts,
                ohmicOhms * ohmic,
                scaled(rcOhms, rebound),
                rcSeconds,
                rcStartVolts,
                nearFull,
                emptyOhms * ohmic,
                emptyMargin,
                gasMargin,
                wells,
                statedShare,
                selfDischargeAmperes * capacity,
                voltsPerKelvin,
                resistanceKelvin);
    }

    /** All resistance a steady load sees in the end, without those near full and empty (Ω). */
    public double settledOhms() {
        double sum = ohmicOhms;
        for (double ohms : rcOhms) {
            sum += ohms;
        }
        return sum;
    }

    /** By what its resistances, but that near full, are multiplied at a temperature (°C). */
    public double resistanceFactor(double celsius) {
        return Arrhenius.factor(resistanceKelvin, celsius);
    }

    /** By what the resistance near full is multiplied at a temperature (°C). */
    public double nearFullFactor(double celsius) {
        return Arrhenius.factor(nearFull.kelvin(), celsius);
    }

    /** The state of charge (fraction, of what is stated) where all there is in it is filled so far (fraction): below 0 near empty. */
    public double stateOfCharge(double filled) {
        return 1 - (1 - filled) / statedShare;
    }

    /** How full all wells are (fraction) at a state of charge (fraction), which is of what is stated. */
    public double filled(double stateOfCharge) {
        return 1 - (1 - stateOfCharge) * statedShare;
    }

    private static BatteryModel ofCells(
            CellParameters cell, int cells, double ampereHours, double hours, Ageing ageing) {
        double scale = cells / ampereHours * ageing.resistanceFactor();
        double share = cell.wells().capacityShare(hours);
        double coulombs = ampereHours * ageing.capacityFraction() * 3600 / share;
        return new BatteryModel(
                coulombs,
                cell.statesOfCharge(),
                scaled(cell.restVolts(), cells),
                cell.ohmic() * scale,
                scaled(cell.rc(), scale),
                cell.rcSeconds(),
                new double[cell.rc().length],
                cell.nearFull().scaled(cells, scale),
                cell.empty() * scale,
                cell.emptyMargin(),
                cell.gasMargin(),
                cell.wells(),
                share,
                cell.selfDischargePerMonth() * coulombs / SECONDS_PER_MONTH,
                cell.restVoltsPerKelvin() * cells,
                cell.resistanceKelvin());
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
