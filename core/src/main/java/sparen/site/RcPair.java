package sparen.site;

import sparen.quantity.Bounds;

/**
 * One dynamic (rebound) element of a battery: a resistance with a capacitance across it, in series with the cell.
 *
 * @param ohms its resistance (Ω), above 0 to 1000
 * @param farads its capacitance (F), above 0 to 1e9; the time constant is ohms × farads (s)
 * @param startVolts voltage across it at the start, positive when charging raised it (V), −100 to 100
 */
public record RcPair(double ohms, double farads, double startVolts) {
    public RcPair {
        Bounds.above("ohms", ohms, 0, 1000);
        Bounds.above("farads", farads, 0, 1e9);
        Bounds.within("ohms × farads", ohms * farads, "s", 1, 1e7);
        Bounds.within("startVolts", startVolts, -100, 100);
    }
}
