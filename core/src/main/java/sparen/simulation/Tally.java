package sparen.simulation;

import java.util.Arrays;
import java.util.List;
import java.util.function.BinaryOperator;
import java.util.stream.IntStream;
import sparen.output.OutputAtWork;
import sparen.result.FeederFigures;
import sparen.result.GeneratorFigures;
import sparen.result.PartFigures.LoadPart;
import sparen.result.PartFigures.OutputPart;

/**
 * All that a run has counted up to an instant (s): two of them tell what lies between.
 *
 * @param ledger its sums, in the order of {@link LedgerSums}
 */
record Tally(
        double seconds,
        double[] ledger,
        List<OutputPart> outputs,
        List<LoadPart> loads,
        List<GeneratorFigures> generators,
        List<FeederFigures> feeders) {
    private static final int OBJECT = 48;
    private static final int BANDS = 4;

    static Tally of(double seconds, Circuit circuit, OutputAtWork[] outputs, LedgerMeter ledger) {
        return new Tally(
                seconds,
                ledger.look(),
                Arrays.stream(outputs).map(OutputAtWork::counted).toList(),
                Arrays.stream(circuit.loads).map(LoadAtWork::counted).toList(),
                circuit.ac == null ? List.of() : circuit.ac.sources.generatorFigures(),
                circuit.ac == null ? List.of() : circuit.ac.sources.feederFigures());
    }

    /** How much memory it takes, nearly (bytes). */
    int bytes() {
        return OBJECT * (2 + outputs.size() + loads.size() + generators.size() + BANDS * feeders.size())
                + ledger.length * Double.BYTES;
    }

    /** What outputs did since another. */
    List<OutputPart> outputsSince(Tally before) {
        return since(outputs, before.outputs, OutputPart::since);
    }

    List<LoadPart> loadsSince(Tally before) {
        return since(loads, before.loads, LoadPart::since);
    }

    List<GeneratorFigures> generatorsSince(Tally before) {
        return since(generators, before.generators, GeneratorFigures::since);
    }

    List<FeederFigures> feedersSince(Tally before) {
        return since(feeders, before.feeders, FeederFigures::since);
    }

    private static <T> List<T> since(List<T> after, List<T> before, BinaryOperator<T> less) {
        return IntStream.range(0, after.size())
                .mapToObj(i -> less.apply(after.get(i), before.get(i)))
                .toList();
    }
}
