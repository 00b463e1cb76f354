package sparen.question;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.check.Checks;
import sparen.check.Finding;
import sparen.history.NightsUse;
import sparen.program.Level;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.result.BatteryFigures;
import sparen.result.DayFigures;
import sparen.result.FeederFigures;
import sparen.result.GeneratorFigures;
import sparen.result.LedgerInWattHours;
import sparen.result.LoadFigures;
import sparen.result.OutputFigures;
import sparen.result.RunResult;
import sparen.simulation.Scenario;
import sparen.study.Fortnight;
import sparen.working.FloorFromHistory;
import sparen.working.Verdict;
import sparen.working.WhyNot;
import sparen.working.Working;

/**
 * What came of a run, but for its trace and its events. Energies are in watt-hours; times are seconds since start.
 *
 * @param events how many there are
 * @param eventsLeftOut how many more there were than a run keeps
 * @param verdict what it shows in a few sentences
 * @param outputs without the instants of their changes
 * @param worst fortnight; absent for a shorter run
 * @param findings of the plan and of the run
 * @param floor for the state of charge, from what was left; absent for a short run
 * @param whyNot why each output that stayed still did, by its id
 * @param levels at which the rules that act do so
 */
public record RunSummary(
        Instant start,
        double durationSeconds,
        RunResult.Status status,
        int events,
        int eventsLeftOut,
        LedgerInWattHours ledger,
        List<Verdict.Statement> verdict,
        List<OutputFigures> outputs,
        List<LoadFigures> loads,
        BatteryFigures battery,
        List<GeneratorFigures> generators,
        List<FeederFigures> feeders,
        RunResult.Lowest lowestStateOfCharge,
        RunResult.Lowest lowestBatteryVolts,
        double endStateOfCharge,
        List<DaySummary> days,
        Optional<Fortnight> worst,
        List<Finding> findings,
        Optional<Working> floor,
        Map<String, String> whyNot,
        List<OutputLevel> levels) {
    /**
     * A level of an output's rule.
     *
     * @param output its id
     * @param term the trade's term
     * @param value voltage (V) or state of charge (%)
     * @param percent whether it is a state of charge
     * @param falling whether it acts when the value falls to it
     */
    public record OutputLevel(String output, String term, double value, boolean percent, boolean falling) {}

    /** What came of a scenario. */
    public static RunSummary of(Scenario scenario, RunResult result) {
        Plan plan = scenario.plan();
        return new RunSummary(
                scenario.start(),
                scenario.durationSeconds(),
                result.status(),
                result.events().size(),
                result.eventsLeftOut(),
                LedgerInWattHours.of(result.ledger()),
                Verdict.of(plan, result),
                result.outputsInShort(),
                result.loads(),
                result.battery(),
                result.generators(),
                result.feeders(),
                result.lowestStateOfCharge(),
                result.lowestBatteryVolts(),
                result.endStateOfCharge(),
                result.days().stream().map(DaySummary::of).toList(),
                Fortnight.worst(result.days()),
                Checks.of(plan, scenario.profiles(), result),
                NightsUse.of(plan, result.nightsUsed())
                        .map(FloorFromHistory::of)
                        .or(() -> FloorFromHistory.of(result.days().stream()
                                .mapToDouble(DayFigures::lowestStateOfCharge)
                                .toArray())),
                whyNot(plan, result),
                plan.program().outputs().stream().flatMap(RunSummary::levels).toList());
    }

    private static Map<String, String> whyNot(Plan plan, RunResult result) {
        Map<String, String> reasons = new LinkedHashMap<>();
        plan.program().outputs().forEach(output -> WhyNot.of(plan, result, output.id())
                .ifPresent(reason -> reasons.put(output.id(), reason)));
        return reasons;
    }

    private static Stream<OutputLevel> levels(Output output) {
        Stream<Rule> acting = Stream.concat(
                output.mode() == Mode.BY_RULE ? output.automatic().stream() : Stream.empty(),
                output.mode() == Mode.OFF ? Stream.empty() : output.protection().stream());
        return acting.flatMap(rule -> rule.levels().stream())
                .filter(level -> level.value() > 0)
                .map(level -> outputLevel(output, level));
    }

    private static OutputLevel outputLevel(Output output, Level level) {
        return new OutputLevel(
                output.id(),
                level.term(),
                level.value(),
                level.role().percent(),
                level.role().falling());
    }
}
