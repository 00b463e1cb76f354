package sparen.check;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.PlanFacts.LevelOfOutput;
import sparen.power.PlanningArithmetic;
import sparen.program.Output;
import sparen.program.rule.ProportionalDiversion;
import sparen.program.rule.RelativeDiversion;
import sparen.program.rule.VoltageDiversion;

/** Where diversion is the only regulation of a source it must take 150 % of it, and a second independent means is asked for: NEC 690.72(B) as it stood before 2017, from memory. Local codes decide. */
final class SoleDiversion implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        if (plan.site().dcSources().stream().allMatch(source -> source.byClock().isPresent())) {
            return Stream.empty();
        }
        double watts = plan.dcSourceWatts();
        List<Output> diverting = plan.rules()
                .filter(placed -> placed.rule() instanceof VoltageDiversion
                        || placed.rule() instanceof ProportionalDiversion
                        || placed.rule() instanceof RelativeDiversion)
                .map(LevelOfOutput::output)
                .distinct()
                .toList();
        double takes = diverting.stream()
                .flatMap(output -> output.loads().stream())
                .mapToDouble(plan::worstWatts)
                .sum();
        double needs = PlanningArithmetic.diversionWatts(watts);
        boolean second = diverting.size() > 1;
        return takes >= needs && second
                ? Stream.empty()
                : Stream.of(finding(
                                Hazard.OVER_CHARGE,
                                Severity.CAUTION,
                                diverting.isEmpty() ? "" : diverting.get(0).id(),
                                "A source without a controller is regulated by diversion alone: many codes ask for loads and"
                                        + " wiring at 150 % and for a second, independent means (NEC 690.72(B), before 2017)."
                                        + " Ask what holds where you are.")
                        .about("site/dcSources")
                        .number("it takes", takes, "W")
                        .number("150 % of the source", needs, "W")
                        .number("independent means", diverting.size(), ""));
    }
}
