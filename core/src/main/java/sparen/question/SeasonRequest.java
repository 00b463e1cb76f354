package sparen.question;

import sparen.quantity.Bounds;
import sparen.result.Window;

/**
 * What to run while one waits.
 *
 * @param run of a longer one than is run here its beginning
 * @param window what the trace is to show; as much of it as is run
 */
public record SeasonRequest(RunInputs run, Window window) {
    /** The longest run that is done while one waits (d). */
    public static final int MOST_DAYS = 31;

    public SeasonRequest {
        Bounds.present("run", run);
        Bounds.present("window", window);
        run = run.noLongerThan(MOST_DAYS);
        window = window.within(run.seconds());
    }
}
