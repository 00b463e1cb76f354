package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.quantity.Bounds;

/** A monitor set to another capacity than the battery has lies the more the further it is from full. */
final class MonitorCapacity implements Check {
    private static final double TELLING = 0.1;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double ageing = plan.bank().ageing().map(one -> one.capacityFraction()).orElse(1.0);
        double true20 = plan.bank().capacityAmpereHours() * ageing;
        return plan.site().monitors().stream()
                .filter(monitor -> Math.abs(monitor.configuredAmpereHours() / true20 - 1) > TELLING)
                .map(monitor -> finding(
                                Hazard.OVER_DISCHARGE,
                                monitor.configuredAmpereHours() > true20 ? Severity.CAUTION : Severity.NOTE,
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
