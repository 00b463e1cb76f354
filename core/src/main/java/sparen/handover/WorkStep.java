package sparen.handover;

/**
 * Something to be done at a site.
 *
 * @param id what tells it from the others of its plan
 * @param phase when
 * @param what to do, a sentence
 * @param expect the sign or number that it is right, a sentence; empty where doing it is all
 * @param stop at what nothing more is done, a sentence; empty where nothing can go wrong
 */
public record WorkStep(String id, Phase phase, String what, String expect, String stop) {
    /** When something is done. */
    public enum Phase {
        ARRIVAL,
        SETTING_UP,
        START_UP,
        TAKING_DOWN
    }
}
