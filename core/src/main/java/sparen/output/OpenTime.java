package sparen.output;

import java.util.Optional;

/** For how long a contact was open, and how often and how long it was so while it was needed. */
final class OpenTime {
    /** A contact takes a moment to move: shorter than this (s) nothing was cut. */
    private static final double LEAST_CUT_SECONDS = 1;

    private double openSeconds;
    private double cutSeconds;
    private double cutOnEndSeconds;
    private double firstCutSeconds;
    private int cuts;

    /**
     * Counts a step.
     *
     * @param seconds when it began (s)
     * @param stepSeconds how long it was (s)
     * @param open whether the contact was open
     * @param needed whether its mode or rule was for a closed contact
     */
    void count(double seconds, double stepSeconds, boolean open, boolean needed) {
        openSeconds += open ? stepSeconds : 0;
        if (!open || !needed) {
            cutOnEndSeconds = 0;
            return;
        }
        cutSeconds += stepSeconds;
        boolean counted = cutOnEndSeconds > LEAST_CUT_SECONDS;
        cutOnEndSeconds += stepSeconds;
        if (!counted && cutOnEndSeconds > LEAST_CUT_SECONDS) {
            cuts++;
            firstCutSeconds = cuts == 1 ? seconds + stepSeconds - cutOnEndSeconds : firstCutSeconds;
        }
    }

    double openSeconds() {
        return openSeconds;
    }

    double cutSeconds() {
        return cutSeconds;
    }

    int cuts() {
        return cuts;
    }

    Optional<Double> firstCutSeconds() {
        return cuts == 0 ? Optional.empty() : Optional.of(firstCutSeconds);
    }
}
