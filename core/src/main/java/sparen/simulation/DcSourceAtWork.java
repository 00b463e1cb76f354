package sparen.simulation;

import sparen.series.Stay;
import sparen.site.DcSource;

/** A direct-current generator with its brake in one run. */
final class DcSourceAtWork implements Part {
    /** A machine that has been braked does not run again before this (s); judgement, no source. */
    private static final double BRAKED_SECONDS = 10;

    private final DcSource source;
    private final StepInput profile;
    private boolean enabled = true;
    private boolean braked;
    private double heldUntil = Double.NEGATIVE_INFINITY;
    private double now;

    DcSourceAtWork(DcSource source, StepInput profile) {
        this.source = source;
        this.profile = profile;
    }

    void moveTo(double seconds) {
        profile.moveTo(seconds);
    }

    /** Lets its brake look at the bus (V) at an instant (s); whether it moved. */
    boolean settle(double seconds, double busVolts) {
        now = seconds;
        boolean next =
                braked ? seconds < heldUntil || busVolts > source.releaseVolts() : busVolts >= source.brakeVolts();
        boolean moved = next != braked;
        if (moved && next) {
            heldUntil = seconds + BRAKED_SECONDS;
        }
        braked = next;
        return moved;
    }

    /** Lets it work, or holds it, at its enable input. */
    void enable(boolean mayWork) {
        enabled = mayWork;
    }

    String id() {
        return source.id();
    }

    double watts() {
        return braked || !enabled ? 0 : profile.value();
    }

    @Override
    public void watch(Stay stay, Circuit circuit) {
        double[] volts = circuit.bus.busVolts();
        if (!braked) {
            stay.within(volts, Double.NEGATIVE_INFINITY, Math.nextDown(source.brakeVolts()));
        } else if (now >= heldUntil) {
            stay.within(volts, Math.nextUp(source.releaseVolts()), Double.POSITIVE_INFINITY);
        }
    }

    @Override
    public double dueSeconds() {
        double next = profile.nextChange();
        return braked && heldUntil > now ? Math.min(next, heldUntil) : next;
    }
}
