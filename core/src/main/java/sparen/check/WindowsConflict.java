package sparen.check;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.site.DailySpan;
import sparen.site.Inverter;

/** Windows of the clock that overlap: only the first acts; and windows that are to charge from AC where that is never done. */
final class WindowsConflict implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        List<AcWindow> windows = plan.program().ac().map(AcProgram::windows).orElse(List.of());
        List<Finding> found = new ArrayList<>();
        for (int i = 0; i < windows.size(); i++) {
            for (int k = i + 1; k < windows.size(); k++) {
                if (overlap(windows.get(i).when(), windows.get(k).when())) {
                    found.add(finding(
                                    Hazard.LOSS_OF_CONTROL,
                                    Severity.CAUTION,
                                    plan.site().inverter().map(Inverter::id).orElse(""),
                                    "Two windows hold at the same time; only the first acts.")
                            .about("program/ac/windows")
                            .number("first from", windows.get(i).when().fromHour(), "h")
                            .number("second from", windows.get(k).when().fromHour(), "h"));
                }
            }
        }
        return Stream.concat(found.stream(), againstNever(plan));
    }

    private Stream<Finding> againstNever(PlanFacts plan) {
        return plan.program().ac().stream()
                .filter(ac -> ac.charging() == AcProgram.ChargePriority.SUN_ONLY
                        || ac.source() == AcProgram.SourcePriority.NEVER_AC)
                .flatMap(ac -> ac.windows().stream())
                .filter(window -> window.kind() == AcWindow.Kind.CHARGE)
                .map(window -> finding(
                                Hazard.LOSS_OF_CONTROL,
                                Severity.CAUTION,
                                plan.site().inverter().map(Inverter::id).orElse(""),
                                "It is never to charge from AC, yet a window is to charge from AC: it does not.")
                        .about("program/ac/charging")
                        .number("window from", window.when().fromHour(), "h")
                        .number("it charges to", 100 * window.stateOfCharge(), "%"));
    }

    private static boolean overlap(DailySpan a, DailySpan b) {
        boolean days = a.weekdays().isEmpty()
                || b.weekdays().isEmpty()
                || a.weekdays().stream().anyMatch(b.weekdays()::contains);
        boolean months = a.months().isEmpty()
                || b.months().isEmpty()
                || a.months().stream().anyMatch(b.months()::contains);
        return days && months && (b.holdsAt(a.fromHour()) || a.holdsAt(b.fromHour()));
    }
}
