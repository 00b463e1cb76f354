package sparen.handover;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * A step of a visit.
 *
 * @param mark that it was done, or is not after all; absent before anybody said so
 * @param photos of it
 */
public record StepAtVisit(WorkStep step, Optional<StepMark> mark, List<StepPhoto> photos) {
    public StepAtVisit {
        photos = Bounds.orNone(photos);
    }

    /**
     * Who did a step, when, what they measured and noted.
     *
     * @param failure what is wrong with what was measured; absent where it is as expected
     */
    public record StepMark(
            boolean done, String measured, String note, String madeBy, Instant madeAt, Optional<String> failure) {
        private StepMark judgedBy(WorkStep step) {
            return new StepMark(done, measured, note, madeBy, madeAt, StepAtVisit.failure(step, measured));
        }
    }

    /** That there is a photo of a step. */
    public record StepPhoto(UUID id, String takenBy, Instant takenAt) {}

    /** All steps of a plan, each with what was said of it. */
    public static List<StepAtVisit> of(Plan plan, Map<String, StepMark> marks, Map<String, List<StepPhoto>> photos) {
        return Commissioning.of(plan).stream()
                .map(step -> new StepAtVisit(
                        step,
                        Optional.ofNullable(marks.get(step.id())).map(mark -> mark.judgedBy(step)),
                        photos.getOrDefault(step.id(), List.of())))
                .toList();
    }

    /** A plan that has changed may want a number where a word was written down. */
    private static Optional<String> failure(WorkStep step, String measured) {
        try {
            return step.failure(measured);
        } catch (InvalidQuantity noNumber) {
            return Optional.of("no number");
        }
    }
}
