package sparen.study;

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
}
