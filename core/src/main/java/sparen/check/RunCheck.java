package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.result.RunResult;

/** One way in which a run can show that a plan is wrong. */
interface RunCheck {
    /** What is wrong of this kind. */
    Stream<Finding> look(PlanFacts plan, RunResult run);

    /** A finding of this check. */
    default Finding finding(Hazard hazard, Severity severity, String at, String text) {
        return Finding.of(getClass(), hazard, severity, at, text);
    }
}
