package sparen.question;

import java.util.List;
import sparen.gauge.Scaled;
import sparen.program.Plan;
import sparen.quantity.Bounds;

/** Levels given as those of a 12 V battery. */
public record NewLevels(Plan plan, List<Scaled.Wanted> levels) {
    public NewLevels {
        Bounds.present("plan", plan);
        levels = List.copyOf(Bounds.present("levels", levels));
        Bounds.within("levels", levels.size(), "levels", 1, 50);
    }

    /** The plan with the levels scaled to its bank, each to all outputs and chargers that have it. */
    public ChangedPlan scaled() {
        return new ChangedPlan(Scaled.set(plan, levels));
    }
}
