package sparen.app.work;

import java.util.function.Supplier;
import sparen.study.Progress;

/** Where long work tells how far it is, and hears whether to stop. It may be told as often as one likes, from any thread. */
public interface WorkReport extends Progress {
    /** What is known so far, to be kept as JSON when the progress is next written. */
    void partial(Supplier<Object> known);
}
