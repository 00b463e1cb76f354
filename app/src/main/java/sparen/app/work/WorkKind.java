package sparen.app.work;

/** A kind of long work: how it is done. */
public interface WorkKind {
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
}
