package sparen.question;

import java.util.List;
import sparen.result.FeederFigures;
import sparen.result.GeneratorFigures;
import sparen.result.LedgerInWattHours;
import sparen.result.PartFigures;
import sparen.result.RunResult.Lowest;

/**
 * What a part of a run holds; see {@link PartFigures}. Energies are in watt-hours.
 *
 * @param fromSeconds where it begins, since the start of the run (s)
 * @param toSeconds where it ends (s)
 */
public record RunPart(
        double fromSeconds,
        double toSeconds,
        LedgerInWattHours ledger,
        List<PartFigures.OutputPart> outputs,
        List<PartFigures.LoadPart> loads,
        List<GeneratorFigures> generators,
        List<FeederFigures> feeders,
        Lowest lowestStateOfCharge,
        Lowest lowestBatteryVolts) {
    /** The same with energies as people read them. */
    public static RunPart of(PartFigures part) {
        return new RunPart(
                part.fromSeconds(),
                part.toSeconds(),
                LedgerInWattHours.of(part.ledger()),
                part.outputs(),
                part.loads(),
                part.generators(),
                part.feeders(),
                part.lowestStateOfCharge(),
                part.lowestBatteryVolts());
    }
}
