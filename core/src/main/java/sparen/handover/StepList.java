package sparen.handover;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import sparen.handover.WorkStep.Between;
import sparen.handover.WorkStep.Phase;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.site.Load;

/** The steps of a plan as they come about, and what the crew calls its parts. */
final class StepList {
    private final Plan plan;
    private final List<WorkStep> steps = new ArrayList<>();

    StepList(Plan plan) {
        this.plan = plan;
    }

    List<WorkStep> all() {
        return List.copyOf(steps);
    }

    void add(Phase phase, String id, String what, String expect, String stop) {
        add(phase, id, what, expect, stop, Optional.empty(), List.of());
    }

    void add(
            Phase phase,
            String id,
            String what,
            String expect,
            String stop,
            Optional<Between> between,
            List<String> plate) {
        steps.add(new WorkStep(
                phase.name().toLowerCase(Locale.ROOT).replace('_', '-') + "/" + id,
                phase,
                what,
                expect,
                stop,
                between,
                plate));
    }

    boolean isCritical(Output output) {
        return !LoadsAtRisk.switchedBy(plan, output.id(), Load::critical).isEmpty();
    }

    String loads(Output output) {
        List<String> names = LoadsAtRisk.switchedBy(plan, output.id(), load -> true);
        return names.isEmpty() ? "what it switches" : String.join(", ", names);
    }

    /** What the crew calls a part, by its id. */
    String name(String id) {
        Map<String, String> names = new HashMap<>();
        plan.program().devices().forEach(one -> names.put(one.id(), one.name()));
        plan.program().outputs().forEach(one -> names.put(one.id(), one.name()));
        plan.site().acSources().forEach(one -> names.put(one.id(), one.name()));
        plan.site().controllers().forEach(one -> names.put(one.id(), "the arrays of " + one.name()));
        plan.site().inverter().ifPresent(one -> names.put("inverter", one.name()));
        return names.getOrDefault(id, id);
    }
}
