package sparen.result;

import java.util.List;

/**
 * What came of a run.
 *
 * @param status how far its numbers can be trusted
 * @param events oldest first
 * @param eventsLeftOut how many more there were than the log takes
 * @param ledger over the whole run
 * @param days one a local day, oldest first
 * @param outputs one an output, in the program's order
 * @param loads one a load, in the site's order
 * @param battery what the batteries went through
 * @param generators one a generator, in the site's order
 * @param feeders one a feeder, in the site's order
 * @param lowestStateOfCharge and when it was (fraction, s)
 * @param lowestBatteryVolts and when it was (V, s)
 * @param endStateOfCharge at the end (fraction)
 * @param endBatteryVolts at the end (V)
 * @param endBatteryAmperes at the end (A, charging positive)
 * @param nightsUsed what the battery gave between the end of a window that discharges and the next that charges (fraction), oldest first
 * @param seconds length of the run (s)
 * @param steps how many the engine took
 * @param trace of the window asked for
 */
public record RunResult(
        Status status,
        List<Event> events,
        int eventsLeftOut,
        Ledger ledger,
        List<DayFigures> days,
        List<OutputFigures> outputs,
        List<LoadFigures> loads,
        BatteryFigures battery,
        List<GeneratorFigures> generators,
        List<FeederFigures> feeders,
        Lowest lowestStateOfCharge,
        Lowest lowestBatteryVolts,
        double endStateOfCharge,
        double endBatteryVolts,
        double endBatteryAmperes,
        double[] nightsUsed,
        double seconds,
        long steps,
        Trace trace) {
    public RunResult {
        events = List.copyOf(events);
        days = List.copyOf(days);
        outputs = List.copyOf(outputs);
        loads = List.copyOf(loads);
        generators = List.copyOf(generators);
        feeders = List.copyOf(feeders);
    }

    /** Its outputs without the instants of their changes, of which there can be very many. */
    public List<OutputFigures> outputsInShort() {
        return outputs.stream()
                .map(output -> output.withChangeSeconds(new double[0]))
                .toList();
    }

    /** Until when all that happened is told (s): where there were more events than the log takes, until the last of them. */
    public double toldUntilSeconds() {
        return eventsLeftOut == 0 ? seconds : events.get(events.size() - 1).seconds();
    }

    /** How a run ended. */
    public enum Status {
        /** To its end, as programmed. */
        FINISHED,
        /** To its end, but an output chattered and was bounded: counts after that depend on the bound. */
        CHATTERING
    }

    /** A lowest value and its instant (s). */
    public record Lowest(double value, double seconds) {}
}
