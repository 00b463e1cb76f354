package sparen.working;

import java.util.stream.Stream;
import sparen.examined.PlanFacts;

/** Something that is worked out on paper before it is programmed. */
interface Calculator {
    /** All that can be worked out of this kind for a plan. */
    Stream<Working> work(PlanFacts plan);

    /** A working of this calculator. */
    default Working working(String path, String title, double value, String unit) {
        return Working.of(getClass(), path, title, value, unit);
    }
}
