package sparen.site;

import java.util.List;
import sparen.quantity.Bounds;

/**
 * A battery monitor: counts what passes its shunt and reports a state of charge, which need not be the true one.
 *
 * @param id its name in references
 * @param name how a sentence names it
 * @param configuredAmpereHours capacity it is set to (Ah), above 0 to 100,000
 * @param chargeEfficiency it counts charging with (fraction), 0.5 to 1
 * @param offsetAmperes it reads above the true current (A), −10 to 10
 * @param driftPerDay what its count gains a day besides (fraction), −0.1 to 0.1
 * @param stepPercent it reports in steps of (%), 0.01 to 5; 1 is usual
 * @param sampleSeconds between two reports (s), 0.1 to 3600
 * @param fullVolts at or above this (V), 0 to 1000,
 * @param fullAmperes with a charging current at or below this (A), 0 to 1000,
 * @param fullSeconds for so long (s), 0 to 86,400, it sets itself to 100 %
 * @param unseen ids of loads, controllers, sources, converters and inverters that are wired past its shunt
 */
public record BatteryMonitor(
        String id,
        String name,
        double configuredAmpereHours,
        double chargeEfficiency,
        double offsetAmperes,
        double driftPerDay,
        double stepPercent,
        double sampleSeconds,
        double fullVolts,
        double fullAmperes,
        double fullSeconds,
        List<String> unseen)
        implements BatteryMonitorWith {
    public BatteryMonitor {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.above("configuredAmpereHours", configuredAmpereHours, 0, 100_000);
        Bounds.within("chargeEfficiency", chargeEfficiency, 0.5, 1);
        Bounds.within("offsetAmperes", offsetAmperes, -10, 10);
        Bounds.within("driftPerDay", driftPerDay, -0.1, 0.1);
        Bounds.within("stepPercent", stepPercent, 0.01, 5);
        Bounds.within("sampleSeconds", sampleSeconds, 0.1, 3600);
        Bounds.within("fullVolts", fullVolts, 0, 1000);
        Bounds.within("fullAmperes", fullAmperes, 0, 1000);
        Bounds.within("fullSeconds", fullSeconds, 0, 86_400);
        unseen = Bounds.list("unseen", Bounds.orNone(unseen), 0, 200);
        Bounds.unique("unseen", unseen);
    }
}
