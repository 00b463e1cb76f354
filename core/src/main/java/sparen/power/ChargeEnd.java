package sparen.power;

import java.util.List;
import java.util.Optional;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.AcProgram.EndOfCharge;
import sparen.result.Change;
import sparen.result.Fact;

/**
 * Whether charging from AC has come to its end by the state of charge: in a window at the window's, outside of windows at a level of its
 * own, until it has fallen to the one where it begins again.
 */
final class ChargeEnd {
    private static final double PERCENT = 100;

    private final Optional<EndOfCharge> levels;
    private boolean reached;
    private AcWindow charged;

    ChargeEnd(AcProgram program) {
        levels = program.endOfCharge();
    }

    /** Looks at the state of charge; what it finds out is told. */
    void settle(AcConditions on, List<Fact> happened) {
        AcWindow window = on.window;
        boolean isFull =
                window != null && window.kind() == AcWindow.Kind.CHARGE && on.stateOfCharge >= window.stateOfCharge();
        if (isFull && charged != window) {
            happened.add(Fact.of(Change.WINDOW_CHARGED, PERCENT * window.stateOfCharge()));
        }
        charged = isFull ? window : window == charged ? charged : null;
        levels.ifPresent(set -> settle(set, on.stateOfCharge, happened));
    }

    private void settle(EndOfCharge set, double stateOfCharge, List<Fact> happened) {
        boolean next = reached ? stateOfCharge > set.againStateOfCharge() : stateOfCharge >= set.endStateOfCharge();
        if (next != reached) {
            reached = next;
            happened.add(
                    reached
                            ? Fact.of(Change.CHARGED_FROM_AC, PERCENT * set.endStateOfCharge())
                            : Fact.of(Change.CHARGES_FROM_AC, PERCENT * set.againStateOfCharge()));
        }
    }

    /** Whether it has outside of windows. */
    boolean isReached() {
        return reached;
    }

    /** The highest state of charge (fraction) at which it does not change its mind. */
    double highestCharge() {
        return reached || levels.isEmpty()
                ? Double.POSITIVE_INFINITY
                : Math.nextDown(levels.get().endStateOfCharge());
    }

    /** The lowest. */
    double lowestCharge() {
        return reached ? Math.nextUp(levels.orElseThrow().againStateOfCharge()) : Double.NEGATIVE_INFINITY;
    }
}
