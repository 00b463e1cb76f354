package sparen.simulation;

import java.util.List;
import sparen.program.AcProgram.AcWindow;

/** The windows of an AC side in one run: which is in force, and until when. */
final class WindowsAtWork {
    private final List<AcWindow> windows;
    private final LocalClock clock;
    private double until;
    private AcWindow inForce;

    WindowsAtWork(List<AcWindow> windows, LocalClock clock) {
        this.windows = windows;
        this.clock = clock;
        until = windows.isEmpty() ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY;
    }

    /** Goes to an instant (s); whether one may have begun or ended. Of several at once the first counts. */
    boolean moveTo(double seconds) {
        if (seconds < until) {
            return false;
        }
        clock.moveTo(seconds);
        inForce = null;
        until = Double.POSITIVE_INFINITY;
        var local = clock.local(seconds);
        for (AcWindow window : windows) {
            if (inForce == null && window.when().contains(local)) {
                inForce = window;
            }
            until = Math.min(until, clock.nextEdge(window.when(), seconds));
        }
        return true;
    }

    /** The window in force, null for none. */
    AcWindow inForce() {
        return inForce;
    }

    /** When that may change (s). */
    double dueSeconds() {
        return until;
    }
}
