package sparen.simulation;

import sparen.power.Brake;
import sparen.result.Fact;
import sparen.series.Stay;
import sparen.site.DcSource;

/** A direct-current generator with its brake in one run. */
final class DcSourceAtWork implements Part {
    private final DcSource source;
    private final StepInput profile;
    private final Brake brake;
    private boolean enabled = true;

    DcSourceAtWork(DcSource source, StepInput profile) {
        this.source = source;
        this.profile = profile;
        brake = new Brake(source);
    }

    void moveTo(double seconds) {
        profile.moveTo(seconds);
    }

    /** Lets its brake look at the bus (V) at an instant (s); what is told when it moved, null when it did not. */
    Fact settle(double seconds, double busVolts) {
        return brake.settle(seconds, busVolts);
    }

    /** Lets it work, or holds it, at its enable input. */
    void enable(boolean mayWork) {
        enabled = mayWork;
    }

    String id() {
        return source.id();
    }

    double watts() {
        return brake.isOn() || !enabled ? 0 : profile.value();
    }

    @Override
    public void watch(Stay stay, Circuit circuit) {
        brake.watch(stay, circuit.bus.busVolts());
    }

    @Override
    public double dueSeconds() {
        return Math.min(profile.nextChange(), brake.dueSeconds());
    }
}
