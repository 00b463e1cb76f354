package sparen.question;

import sparen.program.Plan;
import sparen.quantity.Bounds;

/**
 * A program whose levels are all walked.
 *
 * @param plan with the program
 */
public record WalkRequest(Plan plan) {
    public WalkRequest {
        Bounds.present("plan", plan);
    }
}
