package sparen.working;

import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.check.Cures;
import sparen.examined.Absorption;
import sparen.examined.PlanFacts;
import sparen.quantity.Bounds;
import sparen.site.AcSource;
import sparen.site.ChargeController;
import sparen.site.Inverter;

/** Absorption time of lead-acid, see {@link Absorption}. Each source has its own; a charger on several goes by the weakest. */
final class AbsorptionTime implements Calculator {
    @Override
    public Stream<Working> work(PlanFacts plan) {
        if (!plan.bank().chemistry().isLeadAcid()) {
            return Stream.empty();
        }
        return Stream.concat(
                plan.site().controllers().stream().map(controller -> work(plan, controller)),
                plan.site().inverter().filter(inverter -> inverter.charger().isPresent()).stream()
                        .flatMap(inverter -> onAc(plan, inverter).stream()));
    }

    private Working work(PlanFacts plan, ChargeController controller) {
        double amperes = Absorption.amperes(plan, controller);
        Working working = begun(plan, controller.id(), controller.name(), amperes)
                .line(
                        "I = min(%.0f A limit, %.0f W × %.2f / %.1f V in absorption) = %.1f A",
                        plan.limitAmperes(controller),
                        plan.peakWatts(controller),
                        controller.efficiency(),
                        plan.charging(controller.id()).absorptionVolts(),
                        amperes);
        return ended(plan, controller.id(), controller.name(), amperes, working);
    }

    /** The charger in the inverter, where there is a source for it. */
    private Optional<Working> onAc(PlanFacts plan, Inverter inverter) {
        Optional<AcSource> weakest = plan.site().acSources().stream()
                .min(Comparator.comparingDouble(source -> Absorption.amperes(plan, inverter, source)));
        return weakest.map(source -> {
            double amperes = Absorption.amperes(plan, inverter, source);
            Working working = begun(plan, inverter.id(), inverter.name(), amperes);
            for (AcSource one : plan.site().acSources()) {
                working = working.line(
                        "on %s: %.1f A at %.1f V, no loads beside it",
                        one.name(),
                        Absorption.amperes(plan, inverter, one),
                        plan.charging(inverter.id()).absorptionVolts());
            }
            return ended(plan, inverter.id(), inverter.name(), amperes, working);
        });
    }

    private Working begun(PlanFacts plan, String charger, String name, double amperes) {
        return working(
                "program/charging/" + charger + "/absorptionSeconds",
                "Absorption time of " + name,
                Absorption.hoursToSet(plan, amperes),
                "h");
    }

    private static Working ended(PlanFacts plan, String charger, String name, double amperes, Working working) {
        double taken = Absorption.hoursToSet(plan, amperes);
        return working.line(
                        "0.42 × C20 %.0f Ah / %.1f A = %.2f h",
                        Absorption.ampereHours20(plan), amperes, Absorption.hours(plan, amperes))
                .line("up to the next quarter, %.0f h at most: %.2f h (common practice)", Absorption.MOST_HOURS, taken)
                .enters(
                        "absorption time of " + name + " to " + Bounds.number(taken) + " h",
                        Cures.charging(charger, one -> one.withAbsorptionSeconds(taken * 3600)));
    }
}
