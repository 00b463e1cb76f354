package sparen.simulation;

import sparen.power.BusBalance;
import sparen.power.ChargeRegulator;
import sparen.series.Stay;

/** The charger in the inverter, at its branch of the bus. */
record ChargerAtWork(ChargeRegulator regulator, int branch) implements Part {
    @Override
    public double dueSeconds() {
        return regulator.dueSeconds();
    }

    @Override
    public void watch(Stay stay, Circuit circuit) {
        watch(stay, circuit, regulator, branch);
    }

    /** What a regulator watches at its branch; with its source shut it has nothing to look at. */
    static void watch(Stay stay, Circuit circuit, ChargeRegulator regulator, int branch) {
        if (!circuit.sourcesShut) {
            BusBalance bus = circuit.bus;
            regulator.watch(stay, bus.farVolts(branch), bus.current(branch), bus.batteryCurrent());
        }
    }
}
