package sparen.result;

import java.util.List;
import java.util.Optional;
import sparen.logic.Countdown;
import sparen.output.EventLog;

/**
 * What an output did in a run.
 *
 * @param output its id
 * @param startsClosed its contact's state after the first instant has settled
 * @param switchings how often its contact moved
 * @param openSeconds how long it was open (s)
 * @param cutSeconds how long it was cut while needed: open while its mode or rule was for a closed contact (s)
 * @param cuts how often it was so for longer than a contact takes to move, one second
 * @param firstCutSeconds when the first of them began (s)
 * @param chattered whether it had to be bounded
 * @param changeSeconds when its contact moved (s), oldest first; at most {@value EventLog#MOST_EVENTS}
 * @param countdowns the timers that run when the run ends
 * @param neededAtEnd whether its mode or rule is for a closed contact when the run ends
 * @param lockedAtEnd how a lockout keeps it open when the run ends, in words; empty where none does
 */
public record OutputFigures(
        String output,
        boolean startsClosed,
        int switchings,
        double openSeconds,
        double cutSeconds,
        int cuts,
        Optional<Double> firstCutSeconds,
        boolean chattered,
        double[] changeSeconds,
        List<Countdown> countdowns,
        boolean neededAtEnd,
        String lockedAtEnd)
        implements OutputFiguresWith {
    /**
     * For how much of each span of a window its contact was closed (fraction); NaN beyond the run.
     *
     * @param endSeconds end of the run (s)
     */
    public double[] closedShares(Window window, double endSeconds) {
        double width = (window.toSeconds() - window.fromSeconds()) / window.buckets();
        double[] shares = new double[window.buckets()];
        boolean closed = startsClosed;
        double since = 0;
        for (int i = 0; i <= changeSeconds.length; i++) {
            double until = i < changeSeconds.length ? changeSeconds[i] : endSeconds;
            if (closed) {
                add(shares, (since - window.fromSeconds()) / width, (until - window.fromSeconds()) / width);
            }
            closed ^= until > 0;
            since = until;
        }
        for (int b = 0; b < shares.length; b++) {
            shares[b] = window.fromSeconds() + b * width >= endSeconds ? Double.NaN : Math.min(1, shares[b]);
        }
        return shares;
    }

    /** How often its contact has moved after the first instant, up to another (s). */
    public int movedBefore(double seconds) {
        int moved = 0;
        for (double change : changeSeconds) {
            moved += change > 0 && change <= seconds ? 1 : 0;
        }
        return moved;
    }

    private static void add(double[] shares, double from, double to) {
        for (int b = (int) Math.max(0, from); b < shares.length && b < to; b++) {
            shares[b] += Math.max(0, Math.min(to, b + 1.0) - Math.max(from, b));
        }
    }
}
