package sparen.examined;

import sparen.power.PlanningArithmetic;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.ChargeDetails;
import sparen.program.ChargeProgram;
import sparen.site.Inverter;

/**
 * What a charge window has to do, and how long that takes: one answer for sum and check.
 *
 * @param from what is left at its beginning (fraction): the floor of a discharge window, else 20 %, judgement
 * @param missingAmpereHours up to its state of charge (Ah)
 * @param amperes with which it charges (A): the least of charger, setting, window and what the input leaves beside the loads
 * @param limit what that is
 * @param bulkHours missing charge over that current and what of it is stored (h)
 * @param absorptionHours at the end, where it charges to 95 % and more (h)
 */
public record WindowCharge(
        double from,
        double missingAmpereHours,
        double amperes,
        String limit,
        double bulkHours,
        double absorptionHours) {
    private static final double LEFT = 0.2;
    private static final double FULL = 0.95;
    /** What of a charge is stored (fraction); common practice, no source. */
    private static final double LEAD_ACID_STORES = 0.9;

    private static final double LITHIUM_STORES = 0.98;

    /** That of a window at a site whose inverter has a charger. */
    public static WindowCharge of(PlanFacts plan, AcWindow window) {
        Inverter inverter = plan.site().inverter().orElseThrow();
        ChargeProgram charging = plan.charging(inverter.id());
        AcProgram ac = plan.program().ac().orElse(AcProgram.PLAIN);
        double from = ac.windows().stream()
                .filter(one -> one.kind() == AcWindow.Kind.DISCHARGE)
                .mapToDouble(AcWindow::stateOfCharge)
                .min()
                .orElse(LEFT);
        double missing =
                Math.max(0, window.stateOfCharge() - from) * plan.bank().capacityAmpereHours();
        double amperes = inverter.charger().orElseThrow().maximumAmperes();
        String limit = "the charger";
        double setting =
                charging.details().flatMap(ChargeDetails::maximumAmperes).orElse(Double.POSITIVE_INFINITY);
        if (setting < amperes) {
            amperes = setting;
            limit = "its setting";
        }
        double input = plan.site().acSources().stream()
                .findFirst()
                .map(source -> AcInlet.watts(plan, inverter, source))
                .orElse(Double.POSITIVE_INFINITY);
        double byInput = dcAmperes(inverter, charging, input - AcInlet.loadWatts(plan, inverter));
        if (byInput < amperes) {
            amperes = byInput;
            limit = "what the input limit leaves beside the loads";
        }
        double byWindow = dcAmperes(inverter, charging, window.watts().orElse(Double.POSITIVE_INFINITY));
        if (byWindow < amperes) {
            amperes = byWindow;
            limit = "the window's power";
        }
        double stores = plan.bank().chemistry().isLithium() ? LITHIUM_STORES : LEAD_ACID_STORES;
        double absorption = window.stateOfCharge() >= FULL ? charging.absorptionSeconds() / 3600 : 0;
        return new WindowCharge(from, missing, amperes, limit, missing / (amperes * stores), absorption);
    }

    private static double dcAmperes(Inverter inverter, ChargeProgram charging, double acWatts) {
        return PlanningArithmetic.chargeAmperes(
                Math.max(0, acWatts),
                inverter.charger().orElseThrow().efficiency(),
                charging.absorptionVolts(),
                Double.POSITIVE_INFINITY);
    }

    /** The length it needs (h). */
    public double hours() {
        return bulkHours + absorptionHours;
    }
}
