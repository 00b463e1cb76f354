package sparen.study;

import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.format.Profile;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;
import sparen.simulation.Request;
import sparen.site.Ageing;
import sparen.site.Load;

/**
 * Under what a plan is run, other than as its site tells.
 *
 * @param startStateOfCharge of the battery (fraction), 0 to 1; absent for as the site tells
 * @param ageing of the whole bank besides what the site tells; absent for none
 * @param loadFactor all consumption against what the site tells (×), 0.05 to 5; absent for 1
 * @param byHand what somebody does by hand meanwhile, 100 times at most
 */
public record Circumstances(
        Optional<Double> startStateOfCharge,
        Optional<Ageing> ageing,
        Optional<Double> loadFactor,
        List<ByHand> byHand) {
    /** All as the site tells. */
    public static final Circumstances AS_TOLD =
            new Circumstances(Optional.empty(), Optional.empty(), Optional.empty(), List.of());

    public Circumstances {
        startStateOfCharge = Bounds.optional("startStateOfCharge", startStateOfCharge, 0, 1);
        ageing = Bounds.orEmpty(ageing);
        loadFactor = Bounds.optional("loadFactor", loadFactor, "×", 0.05, 5);
        byHand = Bounds.orNone(byHand);
        Bounds.within("byHand", byHand.size(), "times", 0, ByHand.MOST);
    }

    /** The same with another factor on all consumption. */
    public Circumstances withLoadFactor(double factor) {
        return new Circumstances(startStateOfCharge, ageing, Optional.of(factor), byHand);
    }

    /** What is done by hand in a run that begins at an instant, as the engine takes it. */
    public List<Request> requests(Instant start, ZoneId zone) {
        return byHand.stream().flatMap(one -> one.in(start, zone).stream()).toList();
    }

    /** A plan under these circumstances. */
    public Plan on(Plan plan) {
        Plan changed = plan;
        if (startStateOfCharge.isPresent()) {
            changed = Fields.withAt(changed, "site/battery/startStateOfCharge", startStateOfCharge.get());
        }
        if (ageing.isPresent()) {
            Ageing told = plan.site().battery().ageing().orElse(Ageing.NONE);
            changed = Fields.withAt(changed, "site/battery/ageing", told.and(ageing.get()));
        }
        double factor = loadFactor.orElse(1.0);
        if (factor != 1) {
            List<Load> loads = plan.site().loads().stream()
                    .map(load -> load.withConsumption(load.consumption().times(factor)))
                    .toList();
            changed = Fields.withAt(changed, "site/loads", loads);
        }
        return changed;
    }

    /** The profiles of a plan under these circumstances: those that its loads take. */
    public Map<String, Profile> on(Plan plan, Map<String, Profile> profiles) {
        double factor = loadFactor.orElse(1.0);
        Map<String, Profile> scaled = new HashMap<>(profiles);
        if (factor != 1) {
            for (Load load : plan.site().loads()) {
                load.consumption()
                        .profileId()
                        .ifPresent(named -> scaled.computeIfPresent(
                                named, (id, whole) -> profiles.get(id).times(factor)));
            }
        }
        return scaled;
    }
}
