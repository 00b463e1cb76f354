package sparen.check;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Level;
import sparen.site.AcSource;

/** What a low battery opens must not be what could charge it. */
final class RecoveryDeadlock implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        List<String> chargers = plan.site().chargers();
        List<String> generators =
                plan.site().acSources().stream().map(AcSource::id).toList();
        return plan.levels(Level.Role.DISCONNECT, Level.Role.CUT_OFF, Level.Role.SHED, Level.Role.DISCONNECT_SOC)
                .flatMap(low -> low.output().loads().stream()
                        .filter(id -> chargers.contains(id) || generators.contains(id))
                        .filter(id -> isTheOnlyOne(plan, id))
                        .map(id -> finding(
                                        Hazard.OVER_DISCHARGE,
                                        Severity.DANGER,
                                        low.output().id(),
                                        "A low battery opens the contact that lets \"" + id
                                                + "\" charge it, and nothing else can: it never recovers by itself.")
                                .about(low.path())
                                .number(
                                        low.level().term(),
                                        low.value(),
                                        low.level().role().percent() ? "%" : "V")));
    }

    private static boolean isTheOnlyOne(PlanFacts plan, String id) {
        long behindOthers = plan.site().chargers().stream()
                .filter(charger -> !charger.equals(id))
                .filter(charger -> plan.outputs().stream()
                        .noneMatch(output ->
                                output.loads().contains(id) && output.loads().contains(charger)))
                .count();
        return behindOthers == 0
                && plan.site().dcSources().isEmpty()
                && plan.site().sources().isEmpty();
    }
}
