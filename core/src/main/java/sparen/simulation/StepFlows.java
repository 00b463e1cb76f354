package sparen.simulation;

/** The energies that flowed during a step (J). */
interface StepFlows {
    /** Into all batteries, at their terminals; out of them negative. */
    double terminalJoules();

    /** Lost in all batteries, as heat and gas. */
    double batteryLossJoules();

    /** Lost in all cables. */
    double cableJoules();

    /** What a branch gave (positive) or took (negative) at its far end. */
    double branchJoules(int branch);
}
