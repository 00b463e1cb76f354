package sparen.working;

import java.util.stream.Stream;
import sparen.examined.MeanDraw;
import sparen.examined.PlanFacts;
import sparen.program.Level;

/** Days the battery carries the site without any charge, from full to its floor. */
final class Autonomy implements Calculator {
    private static final double LEAD_ACID_FLOOR = 0.5;
    private static final double LITHIUM_FLOOR = 0.2;

    @Override
    public Stream<Working> work(PlanFacts plan) {
        double aged = plan.bank().ageing().map(one -> one.capacityFraction()).orElse(1.0);
        double floor = plan.levels(Level.Role.DISCONNECT_SOC)
                .mapToDouble(placed -> placed.value() / 100)
                .max()
                .orElse(plan.bank().chemistry().isLithium() ? LITHIUM_FLOOR : LEAD_ACID_FLOOR);
        double usable = plan.bank().capacityAmpereHours() * aged * plan.site().nominalVolts() * (1 - floor);
        double daily = 24
                * plan.site().loads().stream()
                        .filter(load -> !load.diverts())
                        .mapToDouble(load -> MeanDraw.watts(load, plan.site().nominalVolts(), plan.profiles()))
                        .sum();
        return daily == 0
                ? Stream.empty()
                : Stream.of(working("site/battery/capacityAmpereHours", "Autonomy without charge", usable / daily, "d")
                        .line(
                                "%.0f Ah × %.0f V × (1 − %.0f %%) = %.1f kWh",
                                plan.bank().capacityAmpereHours() * aged,
                                plan.site().nominalVolts(),
                                floor * 100,
                                usable / 1000)
                        .line("loads in a day: %.2f kWh", daily / 1000)
                        .line("%.1f kWh / %.2f kWh = %.1f d", usable / 1000, daily / 1000, usable / daily));
    }
}
