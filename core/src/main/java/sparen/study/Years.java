package sparen.study;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.LongFunction;
import sparen.program.Plan;
import sparen.simulation.GeneratorFigures;
import sparen.simulation.Ledger;
import sparen.simulation.RunResult;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.simulation.Window;
import sparen.site.Load;

/** The same plan in several seeded years, for how much one year differs from another. */
public final class Years {
    private Years() {}

    /**
     * One year.
     *
     * @param seed of its weather and people
     * @param lowestStateOfCharge (fraction)
     * @param unservedJoules wanted by all loads and not served (J)
     * @param criticalUnservedJoules of these by critical ones (J)
     * @param divertedJoules taken by surplus loads (J)
     * @param thrownAwayJoules curtailed and clipped (J)
     * @param generatorSeconds all generators together (s)
     * @param litres of fuel (l)
     * @param cost for import less export, in the currency of the prices
     * @param worst fortnight; empty for a run that is shorter
     */
    public record Year(
            long seed,
            double lowestStateOfCharge,
            double unservedJoules,
            double criticalUnservedJoules,
            double divertedJoules,
            double thrownAwayJoules,
            double generatorSeconds,
            double litres,
            double cost,
            Optional<Fortnight> worst) {
        static Year of(long seed, Plan plan, RunResult run) {
            Ledger ledger = run.ledger();
            return new Year(
                    seed,
                    run.lowestStateOfCharge().value(),
                    ledger.totalUnservedJoules(),
                    plan.site().loads().stream()
                            .filter(Load::critical)
                            .mapToDouble(load -> ledger.unservedJoules().getOrDefault(load.id(), 0.0))
                            .sum(),
                    ledger.totalDivertedJoules(),
                    ledger.curtailedJoules() + ledger.clippedJoules(),
                    run.generators().stream()
                            .mapToDouble(GeneratorFigures::runSeconds)
                            .sum(),
                    run.generators().stream()
                            .mapToDouble(GeneratorFigures::litres)
                            .sum(),
                    ledger.cost(),
                    Fortnight.worst(run.days()));
        }
    }

    /**
     * Runs them one after the other.
     *
     * @param first seed of the first; the others count up from it
     * @param count how many
     * @param scenarios the scenario of a seed
     * @param progress told after each and now and then within
     * @throws Simulation.RunCancelled when it says so
     */
    public static List<Year> of(long first, int count, LongFunction<Scenario> scenarios, Progress progress) {
        List<Year> years = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double before = i;
            Scenario scenario = scenarios.apply(first + i);
            RunResult run = Simulation.run(
                    scenario,
                    new Window(0, 1, 1),
                    Simulation.Settings.DEFAULT,
                    (seconds, days) -> progress.stops((before + seconds / scenario.durationSeconds()) / count));
            years.add(Year.of(first + i, scenario.plan(), run));
            if (progress.stops((before + 1) / count)) {
                throw new Simulation.RunCancelled();
            }
        }
        return List.copyOf(years);
    }
}
