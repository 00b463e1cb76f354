package sparen.check;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.WindowCharge;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.site.Inverter;

/** A charge window longer than the charge takes holds the battery while everything comes from AC. */
final class WindowTooLong implements Check {
    /** So much longer than needed, and an hour, is much; judgement, no source. */
    private static final double ROOM = 1.5;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        if (plan.site().inverter().flatMap(Inverter::charger).isEmpty()) {
            return Stream.empty();
        }
        return plan.program().ac().map(AcProgram::windows).orElse(List.of()).stream()
                .filter(window -> window.kind() == AcWindow.Kind.CHARGE)
                .filter(window -> window.when().hours()
                        > ROOM * WindowCharge.of(plan, window).hours() + 1)
                .map(window -> finding(
                                Hazard.WASTE,
                                Severity.NOTE,
                                plan.site().inverter().orElseThrow().id(),
                                "The window is much longer than the charge takes: for the rest of it everything comes from"
                                        + " AC while the battery rests.")
                        .about("program/ac/windows")
                        .number("window", window.when().hours(), "h")
                        .number("charge takes", WindowCharge.of(plan, window).hours(), "h"));
    }
}
