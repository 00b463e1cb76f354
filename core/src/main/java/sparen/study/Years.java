package sparen.study;

import java.util.Optional;
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
     * @param weatherNumber of its weather and people
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
            long weatherNumber,
            double lowestStateOfCharge,
            double unservedJoules,
            double criticalUnservedJoules,
            double divertedJoules,
            double thrownAwayJoules,
            double generatorSeconds,
            double litres,
            double cost,
            Optional<Fortnight> worst) {
        private static Year of(long weatherNumber, Plan plan, RunResult run) {
            Ledger ledger = run.ledger();
            return new Year(
                    weatherNumber,
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
     * Runs one of them; each is by itself, so that several may be run wherever there is room.
     *
     * @param weatherNumber of its weather and people
     * @param scenario of this weather number
     * @param progress told now and then
     * @throws Simulation.RunCancelled when it says so
     */
    public static Year one(long weatherNumber, Scenario scenario, Progress progress) {
        RunResult run = Simulation.run(
                scenario,
                new Window(0, 1, 1),
                Simulation.Settings.DEFAULT,
                (seconds, days) -> progress.stops(seconds / scenario.durationSeconds()));
        return Year.of(weatherNumber, scenario.plan(), run);
    }
}
