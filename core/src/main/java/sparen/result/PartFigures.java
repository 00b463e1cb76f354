package sparen.result;

import java.util.List;

/**
 * What a part of a run holds: counted up by the hour while it ran, so a part begins and ends with whole hours of the run.
 *
 * @param fromSeconds where it begins, since the start of the run (s)
 * @param toSeconds where it ends (s)
 * @param ledger over the part
 * @param outputs one an output, in the program's order
 * @param loads one a load, in the site's order
 * @param generators one a generator, in the site's order
 * @param feeders one a feeder, in the site's order
 * @param lowestStateOfCharge and when it was (fraction, s)
 * @param lowestBatteryVolts and when it was (V, s)
 */
public record PartFigures(
        double fromSeconds,
        double toSeconds,
        Ledger ledger,
        List<OutputPart> outputs,
        List<LoadPart> loads,
        List<GeneratorFigures> generators,
        List<FeederFigures> feeders,
        RunResult.Lowest lowestStateOfCharge,
        RunResult.Lowest lowestBatteryVolts) {
    /**
     * What an output did.
     *
     * @param output its id
     * @param switchings how often its contact moved
     * @param openSeconds how long it was open (s)
     * @param cutSeconds how long it was cut while needed (s)
     */
    public record OutputPart(String output, int switchings, double openSeconds, double cutSeconds) {
        /** What it did since it had counted so much. */
        public OutputPart since(OutputPart before) {
            return new OutputPart(
                    output,
                    switchings - before.switchings,
                    openSeconds - before.openSeconds,
                    cutSeconds - before.cutSeconds);
        }
    }

    /**
     * How a load was served.
     *
     * @param load its id
     * @param losses how often it lost its voltage
     */
    public record LoadPart(String load, int losses) {
        /** What happened to it since it had counted so much. */
        public LoadPart since(LoadPart before) {
            return new LoadPart(load, losses - before.losses);
        }
    }
}
