package sparen.working;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.quantity.Standard;

/** What the cable of a load on the main bus takes at its worst draw. Resistance by IEC 60228, see {@link sparen.site.Cable}. */
final class CableDropOfLoad implements Calculator {
    @Override
    public Stream<Working> work(PlanFacts plan) {
        return plan.site().loads().stream()
                .filter(load -> load.feed().isEmpty() && load.cable().loopOhms(Standard.ROOM_CELSIUS) > 0)
                .map(load -> {
                    double volts = plan.site().nominalVolts();
                    double amperes = plan.worstAmperes(load.id(), volts);
                    double ohms = load.cable().loopOhms(Standard.ROOM_CELSIUS);
                    double drop = amperes * ohms;
                    return working("site/loads/" + load.id() + "/cable", "Cable drop to " + load.name(), drop, "V")
                            .line("%.1f A × %.1f mΩ out and back = %.2f V", amperes, ohms * 1000, drop)
                            .line(
                                    "%.1f %% of %.0f V; 3 %% is a usual bound (common practice)",
                                    100 * drop / volts, volts);
                });
    }
}
