package sparen.simulation;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import sparen.output.OutputAtWork;
import sparen.power.EngineGenerator;
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
                circuit.ac == null
                        ? List.of()
                        : Arrays.stream(circuit.ac.generators)
                                .map(EngineGenerator::figures)
                                .toList(),
                circuit.ac == null
                        ? List.of()
                        : Arrays.stream(circuit.ac.feeders)
                                .map(FeederAtWork::figures)
                                .toList());
    }

    /** How much memory it takes, nearly (bytes). */
    int bytes() {
        return OBJECT * (2 + outputs.size() + loads.size() + generators.size() + BANDS * feeders.size())
                + ledger.length * Double.BYTES;
    }

    /** What outputs did since another. */
    List<OutputPart> outputsSince(Tally before) {
        return IntStream.range(0, outputs.size())
                .mapToObj(i -> outputs.get(i).since(before.outputs.get(i)))
                .toList();
    }

    List<LoadPart> loadsSince(Tally before) {
        return IntStream.range(0, loads.size())
                .mapToObj(i -> loads.get(i).since(before.loads.get(i)))
                .toList();
    }

    List<GeneratorFigures> generatorsSince(Tally before) {
        return IntStream.range(0, generators.size())
                .mapToObj(i -> generators.get(i).since(before.generators.get(i)))
                .toList();
    }

    List<FeederFigures> feedersSince(Tally before) {
        return IntStream.range(0, feeders.size())
                .mapToObj(i -> feeders.get(i).since(before.feeders.get(i)))
                .toList();
    }
}
