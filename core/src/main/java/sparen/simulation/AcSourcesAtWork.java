package sparen.simulation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import sparen.power.AcConditions;
import sparen.power.EngineGenerator;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.FeederFigures;
import sparen.result.GeneratorFigures;
import sparen.result.PartEvent;
import sparen.site.AcSource;

/** The generators and feeders of one run: which are there, and what comes of them. */
final class AcSourcesAtWork {
    final EngineGenerator[] generators;
    private final FeederAtWork[] feeders;
    private final List<AcSource> sources;

    AcSourcesAtWork(List<AcSource> sources, LocalClock clock, long weatherNumber) {
        this.sources = sources;
        List<EngineGenerator> engines = new ArrayList<>();
        List<FeederAtWork> lines = new ArrayList<>();
        for (int i = 0; i < sources.size(); i++) {
            if (sources.get(i) instanceof AcSource.Generator generator) {
                engines.add(new EngineGenerator(generator, weatherNumber * 31 + i));
            } else if (sources.get(i) instanceof AcSource.Feeder feeder) {
                lines.add(new FeederAtWork(feeder, clock, weatherNumber * 31 + i));
            }
        }
        generators = engines.toArray(EngineGenerator[]::new);
        feeders = lines.toArray(FeederAtWork[]::new);
    }

    AcSource get(int source) {
        return source < 0 ? null : sources.get(source);
    }

    /** Takes the feeders to an instant (s); whether one came or went. */
    boolean moveTo(double seconds, List<PartEvent> moved) {
        boolean changed = false;
        for (FeederAtWork feeder : feeders) {
            if (feeder.moveTo(seconds)) {
                moved.add(new PartEvent(
                        Event.Kind.FEEDER,
                        feeder.feeder.id(),
                        Fact.of(feeder.isPresent() ? Change.CAME : Change.WENT)));
                changed = true;
            }
        }
        return changed;
    }

    /** Lets the generators look at an instant (s); whether one moved. */
    boolean settle(double seconds, List<PartEvent> moved) {
        boolean changed = false;
        for (EngineGenerator generator : generators) {
            while (generator.settle(seconds)) {
                moved.add(new PartEvent(
                        Event.Kind.GENERATOR,
                        generator.generator().id(),
                        Fact.of(generator.state().change())));
                changed = true;
            }
        }
        return changed;
    }

    /** Writes which is there: the first in the site's order. */
    void write(AcConditions conditions) {
        conditions.source = -1;
        conditions.from = null;
        int feeder = 0;
        int generator = 0;
        for (int i = 0; i < sources.size(); i++) {
            boolean present = sources.get(i) instanceof AcSource.Feeder
                    ? feeders[feeder++].isPresent()
                    : generators[generator++].isPresent();
            if (present && conditions.source < 0) {
                conditions.source = i;
                conditions.from = sources.get(i);
            }
        }
    }

    /**
     * Counts a step.
     *
     * @param seconds its length (s)
     * @param source at hand, null for none
     * @return cost of it
     */
    double count(double seconds, AcSource source, AcEnergies energies) {
        double cost = 0;
        for (EngineGenerator generator : generators) {
            generator.count(seconds, generator.generator() == source ? energies.importJoules : 0);
        }
        for (FeederAtWork feeder : feeders) {
            feeder.count(seconds);
            if (feeder.feeder == source) {
                cost += feeder.cost(energies.importJoules, energies.exportJoules);
            }
        }
        return cost;
    }

    /** When one of them may come, go or cost another price (s). */
    double dueSeconds() {
        double next = Double.POSITIVE_INFINITY;
        for (FeederAtWork feeder : feeders) {
            next = Math.min(next, feeder.nextChange());
        }
        for (EngineGenerator generator : generators) {
            next = Math.min(next, generator.dueSeconds());
        }
        return next;
    }

    /** What came of the generators, in the site's order. */
    List<GeneratorFigures> generatorFigures() {
        return Arrays.stream(generators).map(EngineGenerator::figures).toList();
    }

    /** What came of the feeders, in the site's order. */
    List<FeederFigures> feederFigures() {
        return Arrays.stream(feeders).map(FeederAtWork::figures).toList();
    }
}
