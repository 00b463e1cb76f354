package sparen.working;

import java.util.stream.Stream;
import sparen.check.Cures;
import sparen.examined.PlanFacts;
import sparen.quantity.Bounds;

/** Capacity as aged, and "full" by voltage and tail current. Tail 2 to 5 % of capacity is common practice, no source. */
final class MonitorSettings implements Calculator {
    private static final double TAIL = 0.03;

    @Override
    public Stream<Working> work(PlanFacts plan) {
        double aged = plan.bank().ageing().map(one -> one.capacityFraction()).orElse(1.0);
        double capacity = Math.round(plan.bank().capacityAmpereHours() * aged);
        double full = Math.round((plan.highestRegulation() - 0.15 * plan.site().nominalVolts() / 12) * 10) / 10.0;
        double tail = Math.round(capacity * TAIL);
        return plan.site().monitors().stream()
                .flatMap(monitor -> Stream.of(
                        working(
                                        "site/monitors/" + monitor.id() + "/configuredAmpereHours",
                                        "Capacity in " + monitor.name(),
                                        capacity,
                                        "Ah")
                                .line(
                                        "%.0f Ah × %.0f %% left of it = %.0f Ah",
                                        plan.bank().capacityAmpereHours(), aged * 100, capacity)
                                .enters(
                                        "capacity in " + monitor.name() + " to " + Bounds.number(capacity) + " Ah",
                                        Cures.monitor(monitor.id(), one -> one.withConfiguredAmpereHours(capacity))),
                        working(
                                        "site/monitors/" + monitor.id() + "/fullVolts",
                                        "\"Full\" in " + monitor.name(),
                                        full,
                                        "V")
                                .line(
                                        "a little under absorption: %.1f V − 0.15 V for each 12 V = %.1f V",
                                        plan.highestRegulation(), full)
                                .line("tail current 3 %% of %.0f Ah = %.0f A", capacity, tail)
                                .enters(
                                        "\"full\" in " + monitor.name() + " at " + Bounds.number(full) + " V and "
                                                + Bounds.number(tail) + " A",
                                        Cures.monitor(monitor.id(), one -> one.withFullVolts(full)
                                                .withFullAmperes(tail)))));
    }
}
