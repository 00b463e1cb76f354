package sparen.question;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import sparen.handover.StepAtVisit;
import sparen.handover.StepAtVisit.StepMark;
import sparen.handover.StepAtVisit.StepPhoto;
import sparen.program.Plan;
import sparen.quantity.Bounds;

/**
 * A visit whose plan may have changed, or of which more was said since.
 *
 * @param plan as it is now
 * @param steps with what was said of each; of steps that the plan does not have it falls away
 */
public record VisitRequest(Plan plan, List<StepAtVisit> steps) {
    public VisitRequest {
        Bounds.present("plan", plan);
        steps = Bounds.orNone(steps);
    }

    /** The steps as they are now. */
    public List<StepAtVisit> visited() {
        Map<String, StepMark> marks = steps.stream()
                .filter(one -> one.mark().isPresent())
                .collect(Collectors.toMap(
                        one -> one.step().id(), one -> one.mark().orElseThrow()));
        Map<String, List<StepPhoto>> photos =
                steps.stream().collect(Collectors.toMap(one -> one.step().id(), StepAtVisit::photos));
        return StepAtVisit.of(plan, marks, photos);
    }
}
