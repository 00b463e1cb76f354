package sparen.check;

import java.util.Map;
import java.util.stream.Stream;
import sparen.format.Profile;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.TestForce;

/** A test force is temporary: while it stands neither wish nor protection acts. */
final class TestForceLeft implements Check {
    @Override
    public Stream<Finding> look(Plan plan, Output output, Map<String, Profile> profiles) {
        if (output.testForce() == TestForce.NONE) {
            return Stream.empty();
        }
        boolean closed = output.testForce() == TestForce.CLOSED;
        boolean unguarded = closed && output.protection().isPresent();
        return Stream.of(finding(
                unguarded ? Hazard.OVER_DISCHARGE : Hazard.LOSS_OF_CONTROL,
                unguarded ? Severity.DANGER : Severity.CAUTION,
                output,
                "Left in a test force: the contact is held " + (closed ? "closed" : "open")
                        + " past wish and protection. Withdraw it before leaving."));
    }
}
