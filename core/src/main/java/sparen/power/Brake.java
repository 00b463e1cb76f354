package sparen.power;

import sparen.result.Change;
import sparen.result.Fact;
import sparen.series.Stay;
import sparen.site.DcSource;

/** The brake of a direct-current generator: it looks at the bus, stops it, and lets it run again. */
public final class Brake {
    /** A machine that has been braked does not run again before this (s); judgement, no source. */
    private static final double BRAKED_SECONDS = 10;

    private final DcSource source;
    private boolean isOn;
    private double heldUntil = Double.NEGATIVE_INFINITY;
    private double now;

    public Brake(DcSource source) {
        this.source = source;
    }

    /** Lets it look at the bus (V) at an instant (s); what is told when it moved, null when it did not. */
    public Fact settle(double seconds, double busVolts) {
        now = seconds;
        boolean next = isOn ? seconds < heldUntil || busVolts > source.releaseVolts() : busVolts >= source.brakeVolts();
        if (next == isOn) {
            return null;
        }
        isOn = next;
        if (!isOn) {
            return Fact.of(Change.BRAKE_RELEASED, source.releaseVolts(), busVolts);
        }
        heldUntil = seconds + BRAKED_SECONDS;
        return Fact.of(Change.BRAKED, source.brakeVolts(), busVolts);
    }

    /** Whether it holds the generator. */
    public boolean isOn() {
        return isOn;
    }

    /** Says within which bounds of the bus (V) it stays as it is. */
    public void watch(Stay stay, double[] busVolts) {
        if (!isOn) {
            stay.within(busVolts, Double.NEGATIVE_INFINITY, Math.nextDown(source.brakeVolts()));
        } else if (now >= heldUntil) {
            stay.within(busVolts, Math.nextUp(source.releaseVolts()), Double.POSITIVE_INFINITY);
        }
    }

    /** Until when it holds whatever the bus does (s); infinite where it does not. */
    public double dueSeconds() {
        return isOn && heldUntil > now ? heldUntil : Double.POSITIVE_INFINITY;
    }
}
