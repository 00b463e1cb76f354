package sparen.simulation;

import java.util.List;

/**
 * What came of a run.
 *
 * @param status how far its numbers can be trusted
 * @param events oldest first
 * @param eventsLeftOut how many more there were than the log takes
 * @param ledger over the whole run
 * @param outputs one an output, in the program's order
 * @param lowestStateOfCharge and when it was (fraction, s)
 * @param lowestBatteryVolts and when it was (V, s)
 * @param endStateOfCharge at the end (fraction)
 * @param endBatteryVolts at the end (V)
 * @param endBatteryAmperes at the end (A, charging positive)
 * @param steps how many the engine took
 * @param trace of the window asked for
 */
public record RunResult(
        Status status,
        List<Event> events,
        int eventsLeftOut,
        Ledger ledger,
        List<OutputFigures> outputs,
        Lowest lowestStateOfCharge,
        Lowest lowestBatteryVolts,
        double endStateOfCharge,
        double endBatteryVolts,
        double endBatteryAmperes,
        long steps,
        Trace trace) {
    public RunResult {
        events = List.copyOf(events);
        outputs = List.copyOf(outputs);
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
