package sparen.check;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import sparen.format.Profile;
import sparen.program.Plan;

/** All checks, in the order their findings are told. */
public final class Checks {
    private static final List<Check> ALL = List.of(
            new ReconnectOrder(), new HysteresisAgainstSag(), new DisconnectBelowBattery(), new TestForceLeft());

    private Checks() {}

    /**
     * What all checks find in a plan, the worst first.
     *
     * @param profiles the consumption profiles its loads name; a load whose profile is missing counts as drawing nothing
     */
    public static List<Finding> of(Plan plan, Map<String, Profile> profiles) {
        return plan.program().outputs().stream()
                .flatMap(output -> ALL.stream().flatMap(check -> check.look(plan, output, profiles)))
                .sorted(Comparator.comparing(Finding::severity))
                .toList();
    }
}
