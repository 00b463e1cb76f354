package sparen.site;

import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * One of several batteries of the same kind side by side, or the only one.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param capacityShare its part of the bank's capacity (fraction), above 0 to 1; the shares of a bank sum to 1
 * @param cable from its terminals to where the batteries join
 * @param ageing beyond the bank's own
 * @param chargeOffset how much fuller it starts than the bank (fraction), −0.5 to 0.5
 * @param bms its own guard
 */
public record ParallelBattery(
        String id,
        String name,
        double capacityShare,
        Cable cable,
        Optional<Ageing> ageing,
        double chargeOffset,
        Optional<Bms> bms)
        implements ParallelBatteryWith {
    public ParallelBattery {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.above("capacityShare", capacityShare, 0, 1);
        Bounds.present("cable", cable);
        Bounds.within("chargeOffset", chargeOffset, -0.5, 0.5);
        ageing = Bounds.orEmpty(ageing);
        bms = Bounds.orEmpty(bms);
    }

    /** Whether two behave alike, whatever they are called. */
    public boolean isLike(ParallelBattery other) {
        return capacityShare == other.capacityShare
                && cable.equals(other.cable)
                && ageing.equals(other.ageing)
                && chargeOffset == other.chargeOffset
                && bms.equals(other.bms);
    }
}
