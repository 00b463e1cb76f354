package sparen.simulation;

import sparen.site.DcSource;

/** A direct-current generator with its brake in one run. */
final class DcSourceAtWork {
    private final DcSource source;
    private final StepInput profile;
    private boolean braked;

    DcSourceAtWork(DcSource source, StepInput profile) {
        this.source = source;
        this.profile = profile;
    }

    void moveTo(double seconds) {
        profile.moveTo(seconds);
    }

    /** Lets its brake look at the bus (V); whether it moved. */
    boolean settle(double busVolts) {
        boolean next = braked ? busVolts > source.releaseVolts() : busVolts >= source.brakeVolts();
        boolean moved = next != braked;
        braked = next;
        return moved;
    }

    double watts() {
        return braked ? 0 : profile.value();
    }

    double lowestVolts() {
        return braked ? Math.nextUp(source.releaseVolts()) : Double.NEGATIVE_INFINITY;
    }

    double highestVolts() {
        return braked ? Double.POSITIVE_INFINITY : Math.nextDown(source.brakeVolts());
    }

    double nextChange() {
        return profile.nextChange();
    }
}
