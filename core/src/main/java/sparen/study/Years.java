package sparen.study;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.LongFunction;
import sparen.program.Plan;
import sparen.result.GeneratorFigures;
import sparen.result.Ledger;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
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
     * @param before years that are done already, the first ones; none to begin anew
     * @param first seed of the first; the others count up from it
     * @param count how many
     * @param scenarios the scenario of a seed
     * @param soFar told after each what is done
     * @param progress told after each and now and then within
     * @throws Simulation.RunCancelled when it says so
     */
    public static List<Year> of(
            List<Year> before,
            long first,
            int count,
            LongFunction<Scenario> scenarios,
            Consumer<List<Year>> soFar,
            Progress progress) {
        List<Year> years = new ArrayList<>(before);
        while (years.size() < count) {
            double done = years.size();
            long seed = first + years.size();
            Scenario scenario = scenarios.apply(seed);
            RunResult run = Simulation.run(
                    scenario,
                    new Window(0, 1, 1),
                    Simulation.Settings.DEFAULT,
                    (seconds, days) -> progress.stops((done + seconds / scenario.durationSeconds()) / count));
            years.add(Year.of(seed, scenario.plan(), run));
            soFar.accept(List.copyOf(years));
            if (progress.stops((double) years.size() / count)) {
                throw new Simulation.RunCancelled();
            }
        }
        return List.copyOf(years);
    }
}
