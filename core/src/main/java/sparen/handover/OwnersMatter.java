package sparen.handover;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.revision.Changes;
import sparen.revision.Changes.Change;
import sparen.site.AcSource;

/**
 * What differs between two plans that the owner pays for or lives with: when their loads go off and come back, when a generator runs, what
 * is taken from AC. What only moves surplus, charging and signals is the technician's. Common practice, no source.
 */
public final class OwnersMatter {
    /** Of an output: how it goes, not how it is built. */
    private static final List<String> HOW_IT_GOES = List.of("mode", "automatic", "protection", "lockout", "loads");

    private OwnersMatter() {}

    /** The differences, in words. */
    public static List<String> between(Plan before, Plan after) {
        Set<String> outputs = Stream.of(before, after)
                .flatMap(plan -> plan.program().outputs().stream()
                        .filter(output -> isOwners(plan, output))
                        .map(Output::id))
                .collect(Collectors.toSet());
        return Changes.between(before, after).stream()
                .filter(change -> isOwners(change, outputs))
                .map(Change::says)
                .toList();
    }

    private static boolean isOwners(Change change, Set<String> outputs) {
        String[] path = change.path().split("/");
        return switch (path.length > 1 ? path[0] + "/" + path[1] : "") {
            case "program/ac" -> true;
            case "program/outputs" ->
                path.length > 2 && outputs.contains(path[2]) && (path.length == 3 || HOW_IT_GOES.contains(path[3]));
            default -> false;
        };
    }

    /** Whether it switches a load that somebody misses, or starts a generator. */
    private static boolean isOwners(Plan plan, Output output) {
        boolean startsGenerator = plan.site().acSources().stream()
                .filter(AcSource.Generator.class::isInstance)
                .anyMatch(source -> output.loads().contains(source.id()));
        return startsGenerator
                || !LoadsAtRisk.switchedBy(plan, output.id(), load -> !load.diverts())
                        .isEmpty();
    }
}
