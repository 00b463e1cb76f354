package sparen.document;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonPropertyOrder;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * A plan with the version of its schema: what a file or a stored revision holds. Where {@code $schema} says by which schema an editor is to
 * look at it, that is passed over.
 *
 * @param schemaVersion {@value #VERSION}; other versions are refused
 * @param plan the plan
 */
@JsonPropertyOrder({"schemaVersion", "plan"})
@JsonIgnoreProperties("$schema")
public record PlanDocument(int schemaVersion, Plan plan) {
    /** The schema version this program reads and writes. */
    public static final int VERSION = 1;

    public PlanDocument {
        if (schemaVersion != VERSION) {
            throw new InvalidQuantity(
                    "schemaVersion", schemaVersion + " is not known; this program reads version " + VERSION);
        }
        Bounds.present("plan", plan);
    }

    /** A plan in the present schema version. */
    public static PlanDocument of(Plan plan) {
        return new PlanDocument(VERSION, plan);
    }
}
