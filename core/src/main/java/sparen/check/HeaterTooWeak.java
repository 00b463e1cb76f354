package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** A heater that cannot hold its level in the coldest month leaves lithium uncharged when the charge is needed most. */
final class HeaterTooWeak implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double outside = plan.coldestMonthCelsius();
        return plan.bank().enclosure().flatMap(enclosure -> enclosure.heater()).stream()
                .filter(heater -> plan.bank().chemistry().isLithium())
                .filter(heater -> outside + plan.heaterKelvin() < heater.onCelsius())
                .map(heater -> finding(
                                Hazard.COLD_OR_HOT_CHARGE,
                                Severity.CAUTION,
                                "",
                                "In the coldest month the battery's heater does not hold its level: charging stops, from the"
                                        + " generator too, and the battery runs empty.")
                        .about("site/battery/enclosure/heater/watts")
                        .number("coldest month", outside, "°C")
                        .number("heater lifts by", plan.heaterKelvin(), "K")
                        .number("it should hold", heater.onCelsius(), "°C"));
    }
}
