package sparen.app.work;

/** A kind of long work: how it is done. */
public interface WorkKind {
    /** What is over in a moment goes before what takes long. */
    int SHORT = 5;

    /** Its name in the database. */
    String name();

    /**
     * Does it.
     *
     * @param work what is asked; with a partial result where another node had begun
     * @param report told how far it is
     * @return what came of it, to be kept as JSON
     * @throws sparen.simulation.Simulation.RunCancelled when the report said to stop
     */
    Object run(Work work, WorkReport report);

    /** Whether it goes on from its partial result, so that it can make room for others in between. */
    default boolean goesOn() {
        return false;
    }

    /** How far ahead of other work of its account it goes; {@link #SHORT} or 0. */
    default int priority(Work work) {
        return 0;
    }
}
