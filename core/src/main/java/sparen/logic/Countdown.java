package sparen.logic;

/**
 * A timer that runs.
 *
 * @param what what it counts, in words
 * @param remainingSeconds until it has run out (s), above 0
 */
public record Countdown(String what, double remainingSeconds) {}
