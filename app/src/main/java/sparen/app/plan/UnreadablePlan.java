package sparen.app.plan;

import java.util.Map;
import org.springframework.http.HttpStatus;
import sparen.app.web.Refusal;
import sparen.document.DocumentProblem;

/** What is stored of a plan cannot be read: by what is wrong, and where. The rest of the site, and all other sites, are well. */
public final class UnreadablePlan extends Refusal {
    private static final long serialVersionUID = 1L;

    UnreadablePlan(String what, DocumentProblem broken) {
        super(
                HttpStatus.CONFLICT,
                "unreadable-plan",
                what + " cannot be read: " + broken.getMessage() + " (at " + broken.pointer()
                        + "). It can be repaired from an older revision, in the list of sites.",
                Map.of());
    }
}
