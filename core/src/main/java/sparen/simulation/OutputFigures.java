package sparen.simulation;

import java.util.List;
import sparen.logic.Countdown;

/**
 * What an output did in a run.
 *
 * @param output its id
 * @param startsClosed its contact's state after the first instant has settled
 * @param switchings how often its contact moved
 * @param openSeconds how long it was open (s)
 * @param withheldSeconds how long it was open though wished closed (s)
 * @param chattered whether it had to be bounded
 * @param changeSeconds when its contact moved (s), oldest first; at most {@value EventLog#MOST_EVENTS}
 * @param countdowns the timers that run when the run ends
 */
public record OutputFigures(
        String output,
        boolean startsClosed,
        int switchings,
        double openSeconds,
        double withheldSeconds,
        boolean chattered,
        double[] changeSeconds,
        List<Countdown> countdowns) {}
