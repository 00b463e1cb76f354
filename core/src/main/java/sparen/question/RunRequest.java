package sparen.question;

import sparen.quantity.Bounds;

/**
 * A run that is to be kept, so that it can be looked into.
 *
 * @param id by which it is called from then on
 */
public record RunRequest(String id, RunInputs run) {
    public RunRequest {
        Bounds.present("id", id);
        Bounds.present("run", run);
    }
}
