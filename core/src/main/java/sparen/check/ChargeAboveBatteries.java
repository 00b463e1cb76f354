package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.ChargeDetails;
import sparen.site.Inverter;

/** All sources together can give more than the batteries take. */
final class ChargeAboveBatteries implements Check {
    /** Without a maker's limit: part of the capacity in an hour, lead-acid and lithium; common practice, no source. */
    private static final double LEAD_ACID = 0.25;

    private static final double LITHIUM = 0.5;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        double borne = plan.chargeAmperesBorne();
        boolean told = borne != Double.POSITIVE_INFINITY;
        if (!told) {
            borne = plan.bank().capacityAmpereHours() * (plan.bank().chemistry().isLithium() ? LITHIUM : LEAD_ACID);
        }
        double sum = plan.site().controllers().stream()
                .mapToDouble(controller -> Math.min(
                        plan.limitAmperes(controller),
                        plan.peakWatts(controller) / plan.site().nominalVolts()))
                .sum();
        double byAc = plan.site().inverter().flatMap(Inverter::charger).isEmpty()
                        || plan.site().acSources().isEmpty()
                ? 0
                : Math.min(
                        plan.site()
                                .inverter()
                                .orElseThrow()
                                .charger()
                                .orElseThrow()
                                .maximumAmperes(),
                        plan.charging(plan.site().inverter().orElseThrow().id())
                                .details()
                                .flatMap(ChargeDetails::maximumAmperes)
                                .orElse(Double.POSITIVE_INFINITY));
        boolean talks = plan.program().charging().stream()
                .allMatch(one -> one.details().flatMap(ChargeDetails::bms).isPresent());
        return sum + byAc <= borne || talks
                ? Stream.empty()
                : Stream.of(finding(
                                Hazard.OVER_CHARGE,
                                told ? Severity.DANGER : Severity.NOTE,
                                "",
                                "All sources together can give more than the batteries take.")
                        .about("site/battery")
                        .number("sources together", sum + byAc, "A")
                        .number(told ? "batteries bear" : "usual for the capacity", borne, "A"));
    }
}
