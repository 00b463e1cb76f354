package sparen.simulation;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
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
    private final EngineGenerator[] engineOf;
    private final FeederAtWork[] lineOf;
    /** What loads before the inverter took from sources that were not at hand, in the last step: from feeders, from generators (J). */
    double feederJoules;

    double generatorJoules;

    AcSourcesAtWork(List<AcSource> sources, LocalClock clock, long weatherNumber) {
        this.sources = sources;
        engineOf = new EngineGenerator[sources.size()];
        lineOf = new FeederAtWork[sources.size()];
        for (int i = 0; i < sources.size(); i++) {
            if (sources.get(i) instanceof AcSource.Generator generator) {
                engineOf[i] = new EngineGenerator(generator, weatherNumber * 31 + i);
            } else if (sources.get(i) instanceof AcSource.Feeder feeder) {
                lineOf[i] = new FeederAtWork(feeder, clock, weatherNumber * 31 + i);
            }
        }
        generators = Arrays.stream(engineOf).filter(Objects::nonNull).toArray(EngineGenerator[]::new);
        feeders = Arrays.stream(lineOf).filter(Objects::nonNull).toArray(FeederAtWork[]::new);
    }

    /** Whether a source gives AC now. */
    boolean isThere(int source) {
        return engineOf[source] != null ? engineOf[source].isPresent() : lineOf[source].isPresent();
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
        for (int i = 0; i < sources.size() && conditions.source < 0; i++) {
            if (isThere(i)) {
                conditions.source = i;
                conditions.from = sources.get(i);
            }
        }
    }

    /**
     * Counts a step.
     *
     * @param seconds its length (s)
     * @param atHand which the inverter has taken, below 0 for none
     * @param energies through the inverter, and what loads before it took from that source
     * @param beforeWatts what loads before the inverter take on each source (W)
     * @return cost of it
     */
    double count(double seconds, int atHand, AcEnergies energies, double[] beforeWatts) {
        double cost = 0;
        feederJoules = 0;
        generatorJoules = 0;
        for (int i = 0; i < sources.size(); i++) {
            boolean isAtHand = i == atHand;
            double taken = isAtHand ? energies.importJoules : isThere(i) ? beforeWatts[i] * seconds : 0;
            if (engineOf[i] != null) {
                engineOf[i].count(seconds, taken);
                generatorJoules += isAtHand ? 0 : taken;
            } else {
                lineOf[i].count(seconds);
                cost += isAtHand || taken > 0 ? lineOf[i].cost(taken, isAtHand ? energies.exportJoules : 0) : 0;
                feederJoules += isAtHand ? 0 : taken;
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
