package sparen.app.overview;

import java.util.List;
import java.util.Map;
import sparen.app.plan.Revision;
import sparen.check.Severity;

/**
 * What the list tells of a site's plan.
 *
 * @param findings how many are open, by severity
 * @param unsent how many devices do not hold their settings yet
 * @param drifted how many were read back and hold other numbers
 * @param drafts who has unsaved changes there
 */
record PlanInList(
        Revision revision,
        double nominalVolts,
        String battery,
        double capacityAmpereHours,
        double arrayWatts,
        int outputs,
        Map<Severity, Long> findings,
        int unsent,
        int drifted,
        List<String> drafts) {}
