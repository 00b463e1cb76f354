package sparen.app.benchtest;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import sparen.handover.TestStep;

/**
 * A program tried on site.
 *
 * @param revision of the plan it tries
 * @param signed whether somebody has signed it; then nothing of it changes any more
 * @param endedBy who signed it, or ended it unsigned; absent as long as it goes on
 * @param checksum of all of it (SHA-256) as it was signed; absent before
 * @param steps in the plan's order
 * @param plugged what was plugged in for it
 * @param blocking what keeps it from being signed, in words; none once it is
 */
record BenchTestView(
        UUID id,
        int revision,
        String begunBy,
        Instant begunAt,
        boolean signed,
        Optional<String> endedBy,
        Optional<Instant> endedAt,
        Optional<String> checksum,
        List<TriedStep> steps,
        List<PluggedIn> plugged,
        List<String> blocking) {
    /**
     * A step and what came of it.
     *
     * @param last what was measured last; absent before
     * @param times how often it was measured
     * @param failure what is wrong with that; absent where it passed
     * @param standing whether it still says something of the newest plan
     * @param setFor to what the level can be set for the test, as the battery is now; absent where that is of no use or not known
     * @param provocation how it can be reached today as it stands; absent where it cannot, or nobody knows what there is
     */
    record TriedStep(
            TestStep step,
            Optional<StepResult> last,
            int times,
            Optional<String> failure,
            TestStep.Standing standing,
            Optional<Double> setFor,
            Optional<String> provocation) {}

    /**
     * What was measured.
     *
     * @param measured where the contact moved, in the step's unit; absent where the step was left out, and the note says why
     * @param afterSeconds after how long (s); absent where nobody looked at a watch
     * @param setTo what the level was set to for the test; absent where it was as planned
     */
    record StepResult(
            Optional<Double> measured,
            Optional<Double> afterSeconds,
            Optional<Double> setTo,
            String instrument,
            String note,
            String measuredBy,
            Instant measuredAt) {}

    /**
     * Something that was plugged in for the test.
     *
     * @param removedBy absent as long as it is plugged in
     */
    record PluggedIn(
            UUID id,
            String what,
            String pluggedBy,
            Instant pluggedAt,
            Optional<String> removedBy,
            Optional<Instant> removedAt) {}
}
