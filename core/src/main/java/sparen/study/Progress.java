package sparen.study;

import sparen.simulation.Simulation;

/** Told how far long work is; says whether it is to stop. */
@FunctionalInterface
public interface Progress {
    /** Nobody looks on. */
    Progress NONE = share -> false;

    /**
     * Told now and then.
     *
     * @param share of the whole that is done (fraction)
     * @return whether to stop
     */
    boolean stops(double share);

    /**
     * The same where only an exception ends what is done.
     *
     * @throws Simulation.RunCancelled when it is to stop
     */
    default void goOn(double share) {
        if (stops(share)) {
            throw new Simulation.RunCancelled();
        }
    }
}
