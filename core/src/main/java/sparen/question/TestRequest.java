package sparen.question;

import java.util.Optional;
import sparen.handover.BenchTestView;
import sparen.handover.Provocation.Today;
import sparen.handover.TestStep;
import sparen.program.Plan;
import sparen.quantity.Bounds;

/**
 * A test on the bench of which more was measured since, or whose plan has changed.
 *
 * @param plan as it is now
 * @param test as it stands; one without steps has just begun
 * @param today what there is at the site; absent where nobody knows
 */
public record TestRequest(Plan plan, BenchTestView test, Optional<Today> today) {
    public TestRequest {
        Bounds.present("plan", plan);
        Bounds.present("test", test);
        today = Bounds.orEmpty(today);
    }

    /** The test as it is judged now. */
    public BenchTestView judged() {
        BenchTestView begun = test.steps().isEmpty() ? test.withSteps(BenchTestView.untried(plan)) : test;
        return begun.judged(plan, TestStep.of(plan), today.orElse(Today.UNKNOWN));
    }
}
