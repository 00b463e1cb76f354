package sparen.site;

import java.util.List;
import sparen.quantity.Bounds;

/**
 * Where neutral and earth of the AC side are bonded. In every state of operation there has to be exactly one bond.
 *
 * @param inInstallation whether the installation itself has a fixed one
 * @param inverter what the inverter does
 * @param bondedSources ids of AC sources that bring a bond of their own
 */
public record Earthing(boolean inInstallation, InverterBond inverter, List<String> bondedSources) {
    /** What an inverter does about the bond. */
    public enum InverterBond {
        NEVER,
        WHILE_INVERTING,
        ALWAYS
    }

    public Earthing {
        Bounds.present("inverter", inverter);
        bondedSources = Bounds.list("bondedSources", Bounds.orNone(bondedSources), 0, 4);
        Bounds.unique("bondedSources", bondedSources);
    }

    /** How many bonds there are while the inverter feeds the loads. */
    public int whileInverting() {
        return (inInstallation ? 1 : 0) + (inverter == InverterBond.NEVER ? 0 : 1);
    }

    /** How many bonds there are while a source feeds them. */
    public int whileFedBy(String source) {
        return (inInstallation ? 1 : 0)
                + (inverter == InverterBond.ALWAYS ? 1 : 0)
                + (bondedSources.contains(source) ? 1 : 0);
    }
}
