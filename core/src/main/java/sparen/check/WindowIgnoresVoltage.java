package sparen.check;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.site.Inverter;

/** In a discharge window the state of charge decides, and the voltage at which loads go to AC is not looked at. */
final class WindowIgnoresVoltage implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        AcProgram ac = plan.program().ac().orElse(AcProgram.PLAIN);
        List<AcWindow> windows = ac.windows();
        return windows.stream()
                .filter(window -> window.kind() == AcWindow.Kind.DISCHARGE && ac.toAcVolts() > 0)
                .limit(1)
                .map(window -> finding(
                                Hazard.OVER_DISCHARGE,
                                Severity.CAUTION,
                                plan.site().inverter().map(Inverter::id).orElse(""),
                                "In the discharge window the state of charge decides and the voltage at which loads go to"
                                        + " AC is ignored: a monitor that reads high lets the battery go lower.")
                        .about("program/ac/toAcVolts")
                        .number("to AC at or below", ac.toAcVolts(), "V")
                        .number("window discharges to", window.stateOfCharge() * 100, "%"));
    }
}
