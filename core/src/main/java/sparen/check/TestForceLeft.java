package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Output;
import sparen.program.TestForce;

/** A test force is temporary: while it stands neither mode nor protection acts. */
final class TestForceLeft implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        return plan.outputs().stream()
                .filter(output -> output.testForce() != TestForce.NONE)
                .map(this::format);
    }

    private Finding format(Output output) {
        boolean closed = output.testForce() == TestForce.CLOSED;
        boolean unguarded = closed && output.protection().isPresent();
        return finding(
                        unguarded ? Hazard.OVER_DISCHARGE : Hazard.LOSS_OF_CONTROL,
                        unguarded ? Severity.DANGER : Severity.CAUTION,
                        output.id(),
                        "Left in a test force: the contact is held " + (closed ? "closed" : "open")
                                + " past mode and protection. Withdraw it before leaving.")
                .about("program/outputs/" + output.id() + "/testForce")
                .cure("withdraw the test force", Cures.output(output.id(), one -> one.withTestForce(TestForce.NONE)));
    }
}
