package sparen.app.overview;

import java.util.List;
import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;
import sparen.app.live.Measurements;
import sparen.app.plan.Revision;
import sparen.app.season.Outlooks;
import tools.jackson.databind.json.JsonMapper;

/** Sites as the list tells them, from what is stored of them. */
@Component
class SitesInList {
    private final Summaries summaries;
    private final Outlooks outlooks;
    private final Measurements measurements;
    private final JsonMapper json;

    SitesInList(Summaries summaries, Outlooks outlooks, Measurements measurements, JsonMapper json) {
        this.summaries = summaries;
        this.outlooks = outlooks;
        this.measurements = measurements;
        this.json = json;
    }

    /** A site as somebody sees it. */
    SiteInList one(String siteId, Authentication who) {
        return of(summaries.one(who, siteId));
    }

    /** A row of the list. */
    SiteInList of(SummaryMapper.Listed row) {
        return new SiteInList(
                row.id(),
                row.name(),
                row.state(),
                Optional.ofNullable(row.benchTest()),
                Optional.ofNullable(row.upkeep()),
                Optional.ofNullable(row.due()).map(on -> new DueNext(row.dueKind(), on)),
                Optional.ofNullable(row.plan())
                        .map(plan -> plan(row, json.readValue(plan, Summaries.PlanSummary.class))),
                Optional.ofNullable(row.unreadable()),
                Optional.ofNullable(row.workedOut())
                        .map(known -> outlooks.read(row.aheadRevision(), row.aheadBegins(), row.aheadDays(), known)),
                Optional.ofNullable(row.measuredAt())
                        .map(at -> measurements.now(at, row.measured().lines().toList())),
                row.rank());
    }

    private static PlanInList plan(SummaryMapper.Listed row, Summaries.PlanSummary plan) {
        Revision revision = new Revision(
                row.number(),
                Optional.ofNullable(row.parent()),
                row.note(),
                row.author(),
                row.savedAt(),
                Optional.ofNullable(row.revisionName()),
                row.changes().lines().toList());
        return new PlanInList(
                revision,
                plan.nominalVolts(),
                plan.battery(),
                plan.capacityAmpereHours(),
                plan.arrayWatts(),
                plan.outputs(),
                plan.findings(),
                plan.unsent(),
                plan.drifted(),
                row.drafts() == null ? List.of() : row.drafts().lines().toList());
    }
}
