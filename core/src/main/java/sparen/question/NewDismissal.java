package sparen.question;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import sparen.check.Checks;
import sparen.check.Finding;
import sparen.program.Dismissal;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;

/**
 * A finding that is to be left as it is.
 *
 * @param check simple name of its check
 * @param at what it stands at; may be empty
 * @param path of its field; may be empty
 */
public record NewDismissal(Plan plan, String check, String at, String path, String reason) {
    public NewDismissal {
        Bounds.present("plan", plan);
        Bounds.present("check", check);
        Bounds.present("at", at);
        Bounds.present("path", path);
        Bounds.present("reason", reason);
    }

    /** The plan with the finding left as it is, for the numbers it has now; empty where there is no such finding. */
    public Optional<ChangedPlan> take(SiteFiles files) {
        return Checks.of(plan, files.profiles()).stream()
                .filter(one -> isAt(one.check(), one.at(), one.path()))
                .findFirst()
                .map(this::left);
    }

    private boolean isAt(String otherCheck, String otherAt, String otherPath) {
        return otherCheck.equals(check) && otherAt.equals(at) && otherPath.equals(path);
    }

    private ChangedPlan left(Finding finding) {
        List<Dismissal> kept = new ArrayList<>(plan.program().dismissed().stream()
                .filter(one -> !isAt(one.check(), one.at(), one.path()))
                .toList());
        kept.add(new Dismissal(check, at, path, finding.numbers(), reason));
        return new ChangedPlan(Fields.withAt(plan, "program/dismissed", kept));
    }
}
