package sparen.app.work;

import java.time.Instant;

/**
 * A piece of long work, as the database has it.
 *
 * @param kind name of its {@link WorkKind}
 * @param request what was asked, JSON
 * @param progress share that is done (fraction)
 * @param partial what is known so far, JSON; null for nothing
 * @param result what came of it, JSON; null while there is none
 * @param message why it failed; empty otherwise
 * @param node which node did it or does it
 */
public record Work(
        String id,
        String siteId,
        String kind,
        String account,
        String request,
        State state,
        boolean cancelWanted,
        double progress,
        String partial,
        String result,
        String message,
        String node,
        Instant createdAt,
        Instant changedAt) {
    /** How far a piece of work is. */
    public enum State {
        WAITING,
        RUNNING,
        DONE,
        CANCELLED,
        FAILED;

        /** Whether nothing more will come. */
        public boolean over() {
            return this != WAITING && this != RUNNING;
        }
    }
}
