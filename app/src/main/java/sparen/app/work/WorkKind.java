package sparen.app.work;

import java.util.List;

/** A kind of long work: how it is done. */
public interface WorkKind {
    /** What is over in a moment goes before what takes long. */
    int SHORT = 5;

    /** Its name in the database. */
    String name();

    /** Into how many parts it falls, each by itself, so that every node takes its share and others come between; 1 to 100. */
    default int parts(Work work) {
        return 1;
    }

    /**
     * Does a part of it.
     *
     * @param work what is asked
     * @param part which one, from 0
     * @param report told how far it is
     * @return what came of it, to be kept as JSON; of the only part: what came of the whole
     * @throws sparen.simulation.Simulation.RunCancelled when the report said to stop
     */
    Object part(Work work, int part, WorkReport report);

    /**
     * What came of the whole, asked once all of several parts are done.
     *
     * @param parts what came of each, in their order
     */
    default Object whole(Work work, List<String> parts, WorkReport report) {
        throw new IllegalStateException(name() + " has one part, which is the whole");
    }

    /** How far ahead of other work of its account it goes; {@link #SHORT} or 0. */
    default int priority(Work work) {
        return 0;
    }
}
