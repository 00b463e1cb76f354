package sparen.working;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.ChargeDetails;
import sparen.site.Inverter;

/** How long a charge window has to be: the charge that is missing over the current of the charger. */
final class WindowLength implements Calculator {
    private static final double FROM = 0.2;
    private static final double INTO = 0.9;

    @Override
    public Stream<Working> work(PlanFacts plan) {
        if (plan.site().inverter().flatMap(Inverter::charger).isEmpty()) {
            return Stream.empty();
        }
        Inverter inverter = plan.site().inverter().get();
        double amperes = Math.min(
                inverter.charger().orElseThrow().maximumAmperes(),
                plan.charging(inverter.id())
                        .details()
                        .flatMap(ChargeDetails::maximumAmperes)
                        .orElse(Double.POSITIVE_INFINITY));
        List<AcWindow> windows = plan.program().ac().map(AcProgram::windows).orElse(List.of());
        return windows.stream()
                .filter(window -> window.kind() == AcWindow.Kind.CHARGE)
                .map(window -> {
                    double missing = Math.max(0, window.stateOfCharge() - FROM)
                            * plan.bank().capacityAmpereHours();
                    double hours = missing / amperes / INTO;
                    return working("program/ac/windows", "Length of the charge window", hours, "h")
                            .line(
                                    "from %.0f %% to %.0f %% of %.0f Ah = %.0f Ah",
                                    FROM * 100,
                                    window.stateOfCharge() * 100,
                                    plan.bank().capacityAmpereHours(),
                                    missing)
                            .line(
                                    "%.0f Ah / %.0f A / %.0f %% = %.1f h; set are %.1f h",
                                    missing,
                                    amperes,
                                    INTO * 100,
                                    hours,
                                    window.when().hours());
                });
    }
}
