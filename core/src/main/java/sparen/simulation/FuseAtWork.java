package sparen.simulation;

import sparen.result.Change;
import sparen.result.Fact;
import sparen.site.Fuse;

/** A fuse in one run. It uses itself up by what it has to bear, and stays open. */
final class FuseAtWork implements Part {
    final String subject;
    final int branch;
    private final Fuse fuse;
    private double used;
    private double bears = Double.POSITIVE_INFINITY;
    private double now;
    private boolean open;

    /** @param branch of the bus it is in, −1 for the main cable */
    FuseAtWork(String subject, Fuse fuse, int branch) {
        this.subject = subject;
        this.fuse = fuse;
        this.branch = branch;
    }

    /** Looks at its current (A) at an instant (s); whether it has just opened. */
    boolean settle(double seconds, double amperes) {
        now = seconds;
        bears = fuse.secondsAt(amperes);
        if (open || bears == Double.POSITIVE_INFINITY) {
            return false;
        }
        open = used >= 1 - 1e-9 || bears == 0;
        return open;
    }

    void advance(double seconds) {
        if (!open && bears < Double.POSITIVE_INFINITY) {
            used += seconds / bears;
        } else if (bears == Double.POSITIVE_INFINITY) {
            used = 0;
        }
    }

    @Override
    public double dueSeconds() {
        return open || bears == Double.POSITIVE_INFINITY ? Double.POSITIVE_INFINITY : now + (1 - used) * bears;
    }

    Fact opened(double amperes) {
        return Fact.of(Change.FUSE_OPENED, fuse.ratedAmperes(), amperes);
    }
}
