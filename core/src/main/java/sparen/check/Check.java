package sparen.check;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** One way in which a plan can be wrong, seen from the plan alone. */
interface Check {
    /** What is wrong of this kind. */
    Stream<Finding> look(PlanFacts plan);

    /** A finding of this check. */
    default Finding finding(Hazard hazard, Severity severity, String at, String text) {
        return Finding.of(getClass(), hazard, severity, at, text);
    }
}
