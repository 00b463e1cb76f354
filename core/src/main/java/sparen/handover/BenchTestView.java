package sparen.handover;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import sparen.handover.Provocation.Today;
import sparen.handover.TestStep.Standing;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.TemporaryValue;
import sparen.program.TestForce;
import sparen.quantity.Bounds;

/**
 * A program tried on site.
 *
 * @param revision of the plan it tries
 * @param signed whether somebody has signed it; then nothing of it changes any more
 * @param endedBy who signed it, or ended it unsigned; absent as long as it goes on
 * @param checksum of all of it (SHA-256) as it was signed; absent before
 * @param steps in the plan's order
 * @param plugged what was plugged in for it
 * @param atDevices what devices hold that keeps it from being signed, in words
 * @param blocking all that keeps it from being signed, in words; none once it is
 */
public record BenchTestView(
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
        List<String> atDevices,
        List<String> blocking)
        implements BenchTestViewWith {
    public BenchTestView {
        steps = Bounds.orNone(steps);
        plugged = Bounds.orNone(plugged);
        atDevices = Bounds.orNone(atDevices);
        blocking = Bounds.orNone(blocking);
    }

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
    public record TriedStep(
            TestStep step,
            Optional<StepResult> last,
            int times,
            Optional<String> failure,
            Standing standing,
            Optional<Double> setFor,
            Optional<String> provocation) {
        /** A step with what was measured, to be judged. */
        public static TriedStep of(TestStep step, Optional<StepResult> last, int times) {
            return new TriedStep(
                    step, last, times, Optional.empty(), Standing.VALID, Optional.empty(), Optional.empty());
        }

        private TriedStep judged(Plan newest, List<TestStep> now, Today today) {
            return new TriedStep(
                    step,
                    last,
                    times,
                    last.flatMap(one ->
                            one.measured().flatMap(value -> step.failure(value, one.afterSeconds(), one.setTo()))),
                    step.standing(now),
                    step.setFor(today.volts(), today.percent()),
                    Provocation.of(newest, step, today));
        }
    }

    /**
     * What was measured.
     *
     * @param measured where the contact moved, in the step's unit; absent where the step was left out, and the note says why
     * @param afterSeconds after how long (s); absent where nobody looked at a watch
     * @param setTo what the level was set to for the test; absent where it was as planned
     */
    public record StepResult(
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
    public record PluggedIn(
            UUID id,
            String what,
            String pluggedBy,
            Instant pluggedAt,
            Optional<String> removedBy,
            Optional<Instant> removedAt) {}

    /** Every level of a plan, not tried yet. */
    public static List<TriedStep> untried(Plan plan) {
        return TestStep.of(plan).stream()
                .map(step -> TriedStep.of(step, Optional.empty(), 0))
                .toList();
    }

    /**
     * The same test as the newest plan lets it be judged.
     *
     * @param now the steps of that plan
     * @param today what there is at the site
     */
    public BenchTestView judged(Plan newest, List<TestStep> now, Today today) {
        List<TriedStep> tried =
                steps.stream().map(one -> one.judged(newest, now, today)).toList();
        return withSteps(tried).withBlocking(endedAt.isPresent() ? List.of() : blocking(newest, now, tried));
    }

    private List<String> blocking(Plan newest, List<TestStep> now, List<TriedStep> tried) {
        List<String> blocking = new ArrayList<>();
        count(blocking, tried.stream().filter(one -> one.last().isEmpty()).count(), "not measured");
        tried.forEach(one -> one.failure()
                .ifPresent(failure ->
                        blocking.add(one.step().outputName() + ", " + one.step().term() + ": " + failure)));
        count(
                blocking,
                tried.stream().filter(one -> one.standing() != Standing.VALID).count(),
                "changed in the plan since");
        count(
                blocking,
                now.stream()
                        .filter(step ->
                                tried.stream().noneMatch(one -> one.step().id().equals(step.id())))
                        .count(),
                "new in the plan since");
        plugged.stream()
                .filter(one -> one.removedAt().isEmpty())
                .forEach(one -> blocking.add(one.what() + " is still plugged in"));
        for (Output output : newest.program().outputs()) {
            if (output.testForce() != TestForce.NONE) {
                blocking.add(output.name() + " is still forced "
                        + output.testForce().name().toLowerCase(Locale.ROOT));
            }
        }
        for (TemporaryValue one : newest.program().temporary()) {
            blocking.add(one.name() + " is still changed for a test: it is to be "
                    + (Bounds.number(one.normalValue()) + " " + one.unit()).strip());
        }
        blocking.addAll(atDevices);
        return blocking;
    }

    private static void count(List<String> blocking, long levels, String what) {
        if (levels > 0) {
            blocking.add(levels + (levels == 1 ? " level is " : " levels are ") + what);
        }
    }
}
