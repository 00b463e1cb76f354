package sparen.site;

import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * The battery bank as the rest of the site sees it, from its two terminals.
 *
 * @param name what the crew calls it
 * @param chemistry decides the model's curves
 * @param cellsInSeries 1 to 500
 * @param capacityAmpereHours of the whole bank at the rate below (Ah), above 0 to 100,000
 * @param capacityHours the discharge time the capacity is stated for (h), 1 to 120
 * @param lowestVolts the maker's lowest voltage under load, whole bank (V), 0 to 1000
 * @param highestVolts the maker's highest charging voltage, whole bank (V), above lowestVolts
 * @param startStateOfCharge where a simulation starts (fraction), 0 to 1
 * @param table required for {@link Chemistry#USER_TABLE}, absent otherwise
 * @param batteries side by side, 0 to 32; none stands for one without a BMS
 * @param ageing of the whole bank
 * @param enclosure what stands around it
 */
public record BatteryBank(
        String name,
        Chemistry chemistry,
        int cellsInSeries,
        double capacityAmpereHours,
        double capacityHours,
        double lowestVolts,
        double highestVolts,
        double startStateOfCharge,
        Optional<BatteryTable> table,
        List<ParallelBattery> batteries,
        Optional<Ageing> ageing,
        Optional<Enclosure> enclosure)
        implements BatteryBankWith {
    private static final double SHARES_SUM = 1e-6;

    public BatteryBank {
        Bounds.name("name", name);
        Bounds.present("chemistry", chemistry);
        table = Bounds.orEmpty(table);
        batteries = Bounds.orNone(batteries);
        ageing = Bounds.orEmpty(ageing);
        enclosure = Bounds.orEmpty(enclosure);
        Bounds.within("cellsInSeries", cellsInSeries, "cells", 1, 500);
        Bounds.above("capacityAmpereHours", capacityAmpereHours, 0, 100_000);
        Bounds.within("capacityHours", capacityHours, 1, 120);
        Bounds.within("lowestVolts", lowestVolts, 0, 1000);
        Bounds.above("highestVolts", highestVolts, lowestVolts, 1000);
        Bounds.within("startStateOfCharge", startStateOfCharge, 0, 1);
        if (table.isPresent() != (chemistry == Chemistry.USER_TABLE)) {
            throw new InvalidQuantity(
                    "table", "belongs to chemistry USER_TABLE and to no other; chemistry is " + chemistry);
        }
        Bounds.within("batteries", batteries.size(), "batteries", 0, 32);
        Bounds.unique("batteries", batteries.stream().map(ParallelBattery::id).toList());
        double shares =
                batteries.stream().mapToDouble(ParallelBattery::capacityShare).sum();
        if (!batteries.isEmpty() && Math.abs(shares - 1) > SHARES_SUM) {
            throw new InvalidQuantity(
                    "batteries.capacityShare", "the shares sum to " + Bounds.number(shares) + ", not to 1");
        }
    }

    /** A bank of one battery without a BMS, as new, in a cabinet about which nothing is known. */
    public BatteryBank(
            String name,
            Chemistry chemistry,
            int cellsInSeries,
            double capacityAmpereHours,
            double capacityHours,
            double lowestVolts,
            double highestVolts,
            double startStateOfCharge,
            Optional<BatteryTable> table) {
        this(
                name,
                chemistry,
                cellsInSeries,
                capacityAmpereHours,
                capacityHours,
                lowestVolts,
                highestVolts,
                startStateOfCharge,
                table,
                List.of(),
                Optional.empty(),
                Optional.empty());
    }
}
