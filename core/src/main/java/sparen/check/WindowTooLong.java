package sparen.check;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.site.Inverter;

/** A charge window longer than the charge takes holds the battery while everything comes from AC. */
final class WindowTooLong implements Check {
    private static final double ROOM = 1.5;

    @Override
    public Stream<Finding> look(PlanFacts plan) {
        if (plan.site().inverter().flatMap(Inverter::charger).isEmpty()) {
            return Stream.empty();
        }
        double amperes =
                plan.site().inverter().orElseThrow().charger().orElseThrow().maximumAmperes();
        return plan.program().ac().map(AcProgram::windows).orElse(List.of()).stream()
                .filter(window -> window.kind() == AcWindow.Kind.CHARGE)
                .filter(window -> window.when().hours() > ROOM * hours(plan, window, amperes) + 1)
                .map(window -> finding(
                                Hazard.WASTE,
                                Severity.NOTE,
                                plan.site().inverter().orElseThrow().id(),
                                "The window is much longer than the charge takes: for the rest of it everything comes from"
                                        + " AC while the battery rests.")
                        .about("program/ac/windows")
                        .number("window", window.when().hours(), "h")
                        .number("charge from 20 %", hours(plan, window, amperes), "h"));
    }

    private static double hours(PlanFacts plan, AcWindow window, double amperes) {
        return Math.max(0, window.stateOfCharge() - 0.2) * plan.bank().capacityAmpereHours() / amperes / 0.9;
    }
}
