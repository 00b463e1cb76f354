package sparen.check;

import java.util.Map;
import java.util.stream.Stream;
import sparen.format.Profile;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.VoltageDisconnect;

/** LVD below the battery's own lowest voltage: the disconnect comes too late to protect it. */
final class DisconnectBelowBattery implements Check {
    @Override
    public Stream<Finding> look(Plan plan, Output output, Map<String, Profile> profiles) {
        return disconnect(output)
                .filter(rule -> trueVolts(plan, rule) < plan.site().battery().lowestVolts())
                .map(rule -> finding(
                        Hazard.OVER_DISCHARGE,
                        Severity.DANGER,
                        output,
                        "LVD is below the lowest voltage the battery's maker allows: the load is cut too late.",
                        new Compared("LVD, without the sense point's offset", trueVolts(plan, rule), "V"),
                        new Compared(
                                "battery's lowest voltage",
                                plan.site().battery().lowestVolts(),
                                "V")));
    }

    private static double trueVolts(Plan plan, VoltageDisconnect rule) {
        return rule.lvdVolts() - plan.site().sensePoint(rule.sensePoint()).offsetVolts();
    }
}
