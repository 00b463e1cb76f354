package sparen.power;

import java.util.List;
import java.util.Optional;
import sparen.logic.Timer;
import sparen.result.Change;
import sparen.result.Fact;
import sparen.site.Inverter;
import sparen.site.Inverter.Accepts;

/**
 * Whether a source of AC is one that an inverter takes: by its legs, its voltage and its frequency. One that is not is told once each
 * time it comes; one at hand that leaves the window is let go after the delay.
 */
final class SourceWindow {
    private static final double NOT_TOLD = Double.NaN;

    private final Inverter inverter;
    private final AcFlow flow;
    private final Optional<Accepts> accepts;
    private final Timer unfit;
    private int refused = -1;

    SourceWindow(Inverter inverter, AcFlow flow) {
        this.inverter = inverter;
        this.flow = flow;
        accepts = inverter.transfer().flatMap(Inverter.Transfer::accepts);
        unfit = new Timer(accepts.map(Accepts::delaySeconds).orElse(0.0));
    }

    /** Whether it looks at what its source is like. */
    boolean isSet() {
        return accepts.isPresent();
    }

    /**
     * Whether what is there may be taken: of one at hand its delay decides, of another what it is with nothing drawn.
     *
     * @param atHand whether it has been taken
     */
    boolean takes(AcConditions on, boolean atHand) {
        return (atHand || outside(on, false) == null) && on.from.legs() >= inverter.legs();
    }

    /** Looks at the source that is at hand, and lets it go after the delay; what is told then, null for nothing. */
    Fact settle(double now, AcConditions on, boolean atHand) {
        Fact outside = atHand ? outside(on, true) : null;
        unfit.observe(now, outside != null);
        if (!unfit.isDue(now)) {
            return null;
        }
        unfit.reset();
        return outside;
    }

    /** Tells, once each time it comes, of a source that is there, wanted, not at hand and outside the window. */
    void refuse(AcConditions on, boolean isWanted, List<Fact> happened) {
        if (on.source != refused) {
            refused = -1;
        }
        Fact outside = on.source < 0 || on.source == refused || !isWanted ? null : outside(on, false);
        if (outside != null) {
            refused = on.source;
            happened.add(outside);
        }
    }

    /** In which way the source is outside the window, under its load or with nothing drawn; null where it is inside. */
    private Fact outside(AcConditions on, boolean loaded) {
        if (accepts.isEmpty()) {
            return null;
        }
        Accepts window = accepts.get();
        double volts = flow.legVolts(on, loaded);
        double past = past(volts, window.lowVolts(), window.highVolts());
        if (!Double.isNaN(past)) {
            return Fact.of(loaded ? Change.AC_UNFIT : Change.AC_REFUSED, past, volts);
        }
        double hertz = flow.hertz(on, loaded);
        past = past(
                hertz, window.lowHertz().orElse(NOT_TOLD), window.highHertz().orElse(NOT_TOLD));
        return Double.isNaN(past)
                ? null
                : Fact.of(loaded ? Change.AC_UNFIT_HERTZ : Change.AC_REFUSED_HERTZ, past, hertz);
    }

    /** The bound that a value is past, NaN for none; what is not told is past nothing. */
    private static double past(double value, double low, double high) {
        return value < low ? low : value > high ? high : Double.NaN;
    }

    double dueSeconds() {
        return unfit.dueSeconds();
    }
}
