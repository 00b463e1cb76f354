package sparen.check;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import sparen.format.Profile;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.VoltageDisconnect;

/** One way in which a plan can be wrong. */
interface Check {
    /**
     * Looks at one output of a plan.
     *
     * @param profiles the consumption profiles its loads name
     */
    Stream<Finding> look(Plan plan, Output output, Map<String, Profile> profiles);

    /** The output's disconnect by voltage, if that is what protects it. */
    default Stream<VoltageDisconnect> disconnect(Output output) {
        return output.protection().stream()
                .filter(VoltageDisconnect.class::isInstance)
                .map(VoltageDisconnect.class::cast);
    }

    /** A finding of this check. */
    default Finding finding(Hazard hazard, Severity severity, Output output, String text, Compared... compared) {
        return new Finding(getClass().getSimpleName(), hazard, severity, output.id(), text, List.of(compared));
    }
}
