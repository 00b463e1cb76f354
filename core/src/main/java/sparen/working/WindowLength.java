package sparen.working;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.WindowCharge;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.site.Inverter;

/** How long a charge window has to be: the charge that is missing over the current that is left for it, and absorption at the end. */
final class WindowLength implements Calculator {
    @Override
    public Stream<Working> work(PlanFacts plan) {
        if (plan.site().inverter().flatMap(Inverter::charger).isEmpty()) {
            return Stream.empty();
        }
        List<AcWindow> windows = plan.program().ac().map(AcProgram::windows).orElse(List.of());
        return windows.stream()
                .filter(window -> window.kind() == AcWindow.Kind.CHARGE)
                .map(window -> working(plan, window, WindowCharge.of(plan, window)));
    }

    private Working working(PlanFacts plan, AcWindow window, WindowCharge charge) {
        return working("program/ac/windows", "Length of the charge window", charge.hours(), "h")
                .line(
                        "from %.0f %% to %.0f %% of %.0f Ah = %.0f Ah",
                        charge.from() * 100,
                        window.stateOfCharge() * 100,
                        plan.bank().capacityAmpereHours(),
                        charge.missingAmpereHours())
                .line("with %.0f A, by %s", charge.amperes(), charge.limit())
                .line(
                        "%.1f h to get it in, %.1f h of absorption; set are %.1f h",
                        charge.bulkHours(),
                        charge.absorptionHours(),
                        window.when().hours());
    }
}
