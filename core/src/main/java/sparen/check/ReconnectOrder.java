package sparen.check;

import java.util.Map;
import java.util.stream.Stream;
import sparen.format.Profile;
import sparen.program.Output;
import sparen.program.Plan;

/** LVR must be above LVD, or the load closes again at the very voltage that opened it. */
final class ReconnectOrder implements Check {
    @Override
    public Stream<Finding> look(Plan plan, Output output, Map<String, Profile> profiles) {
        return disconnect(output)
                .filter(rule -> rule.lvrVolts() <= rule.lvdVolts())
                .map(rule -> finding(
                        Hazard.OVER_DISCHARGE,
                        Severity.DANGER,
                        output,
                        "LVR is not above LVD: the load is reconnected to a battery that is as low as when it was cut.",
                        new Compared("LVR", rule.lvrVolts(), "V"),
                        new Compared("LVD", rule.lvdVolts(), "V")));
    }
}
