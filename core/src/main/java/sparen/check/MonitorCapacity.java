package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.quantity.Bounds;

/** A monitor set to another capacity than the battery has lies the more the further it is from full. */
final class MonitorCapacity implements Check {
    /** Off by so much (fraction) is told, off by so much is a caution where it is the dangerous way; judgement, no source. */
    private static final double TELLING = 0.03;

    private static final double GRAVE = 0.1;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double ageing = plan.bank().ageing().map(one -> one.capacityFraction()).orElse(1.0);
        double true20 = plan.bank().capacityAmpereHours() * ageing;
        return plan.site().monitors().stream()
                .filter(monitor -> Math.abs(monitor.configuredAmpereHours() / true20 - 1) >= TELLING - 1e-9)
                .map(monitor -> finding(
                                Hazard.OVER_DISCHARGE,
                                monitor.configuredAmpereHours() / true20 - 1 > GRAVE ? Severity.CAUTION : Severity.NOTE,
                                monitor.id(),
                                monitor.configuredAmpereHours() > true20
                                        ? "It counts with more than the battery has: what it calls half full is less."
                                        : "It counts with less than the battery has: it calls the battery empty too early.")
                        .about("site/monitors/" + monitor.id() + "/configuredAmpereHours")
                        .number("set to", monitor.configuredAmpereHours(), "Ah")
                        .number("battery, as aged", true20, "Ah", plan.origin("site/battery/capacityAmpereHours"))
                        .cure(
                                "capacity " + Bounds.number(monitor.configuredAmpereHours()) + " Ah → "
                                        + Bounds.number(Math.round(true20)) + " Ah",
                                Cures.monitor(
                                        monitor.id(),
                                        one -> one.withConfiguredAmpereHours((double) Math.round(true20)))));
    }
}
