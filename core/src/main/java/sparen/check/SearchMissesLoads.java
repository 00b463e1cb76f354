package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** In search mode a load below the threshold is not noticed, and not served. */
final class SearchMissesLoads implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.site().inverter().stream()
                .filter(inverter -> inverter.search().isPresent())
                .flatMap(inverter -> plan.site().loads().stream()
                        .filter(load ->
                                load.feed().filter(inverter.id()::equals).isPresent())
                        .filter(load -> load.critical()
                                && plan.worstWatts(load.id())
                                        < inverter.search().orElseThrow().leastLoadWatts())
                        .map(load -> finding(
                                        Hazard.LOSS_OF_CONTROL,
                                        Severity.CAUTION,
                                        load.id(),
                                        "It draws less than the searching inverter notices: alone it is not served.")
                                .about("site/inverter/search/leastLoadWatts")
                                .number(load.name(), plan.worstWatts(load.id()), "W")
                                .number(
                                        "noticed from",
                                        inverter.search().orElseThrow().leastLoadWatts(),
                                        "W")));
    }
}
