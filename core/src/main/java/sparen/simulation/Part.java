package sparen.simulation;

import sparen.series.Stay;

/** A part of a circuit at work: until when it holds still, and within which bounds of what it looks at. */
interface Part {
    /** The next instant (s) at which it changes by itself or has to look again; infinite for none. */
    double dueSeconds();

    /** Says within which bounds it holds still, once the series of a step are there. */
    default void watch(Stay stay, Circuit circuit) {}
}
