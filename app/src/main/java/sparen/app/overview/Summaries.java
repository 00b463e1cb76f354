package sparen.app.overview;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Service;
import sparen.app.handover.DeviceRead;
import sparen.app.handover.DeviceReadings;
import sparen.app.logbook.LogKept;
import sparen.app.logbook.Logbook;
import sparen.app.plan.PlanSaved;
import sparen.app.plan.PlanService;
import sparen.app.plan.UnreadablePlan;
import sparen.app.profile.ProfileService;
import sparen.app.profile.ProfileTaken;
import sparen.app.right.Role;
import sparen.app.site.CarePlanned;
import sparen.app.web.Refusal;
import sparen.app.work.Chore;
import sparen.check.Checks;
import sparen.check.Finding;
import sparen.check.Severity;
import sparen.logbook.Upkeep;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import tools.jackson.databind.json.JsonMapper;

/** What the list says of sites: worked out with each save, and by the nodes while nobody waits where the engine is another. */
@Service
class Summaries implements Chore {
    /** What the list can be narrowed to. */
    static final List<String> FILTERS = List.of("all", "findings", "drafts", "unsent", "drifted", "upkeep");

    private static final Logger LOG = LoggerFactory.getLogger(Summaries.class);
    private static final String NAME = "summary";
    private static final int LARGEST_PAGE = 200;
    private static final int MOST_SITES = 1_000_000;

    private final SummaryMapper mapper;
    private final PlanService plans;
    private final ProfileService profiles;
    private final DeviceReadings readings;
    private final Logbook logbook;
    private final JsonMapper json;
    private final Clock clock;

    Summaries(
            SummaryMapper mapper,
            PlanService plans,
            ProfileService profiles,
            DeviceReadings readings,
            Logbook logbook,
            JsonMapper json,
            Clock clock) {
        this.readings = readings;
        this.logbook = logbook;
        this.mapper = mapper;
        this.plans = plans;
        this.profiles = profiles;
        this.json = json;
        this.clock = clock;
    }

    /**
     * What of a plan stands in the list.
     *
     * @param findings how many are open, by severity
     * @param unsent how many devices do not hold their settings yet
     * @param drifted how many were read back and hold other numbers
     */
    record PlanSummary(
            double nominalVolts,
            String battery,
            double capacityAmpereHours,
            double arrayWatts,
            int outputs,
            Map<Severity, Long> findings,
            int unsent,
            int drifted) {}

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public List<String> sites() {
        return mapper.stale(EngineVersion.NOW);
    }

    @Override
    public void run(String siteId) {
        keep(siteId);
    }

    @EventListener
    void onSave(PlanSaved saved) {
        keep(saved.siteId());
    }

    /** A profile that a plan names counts in what is found wrong with it. */
    @EventListener
    void onProfile(ProfileTaken taken) {
        keep(taken.siteId());
    }

    /** What a device holds counts in whether it drifted. */
    @EventListener
    void onDeviceRead(DeviceRead read) {
        keep(read.siteId());
    }

    /** What was done is due later. */
    @EventListener
    void onLog(LogKept kept) {
        keep(kept.siteId());
    }

    /** A test on the bench that somebody says was done counts for when the next one is due. */
    @EventListener
    void onCare(CarePlanned planned) {
        keep(planned.siteId());
    }

    private void keep(String siteId) {
        try {
            plans.latest(siteId).ifPresent(loaded -> {
                PlanSummary summary = summary(siteId, loaded.plan());
                Optional<Upkeep> due = logbook.due(siteId).stream().findFirst();
                mapper.keep(new SummaryMapper.Row(
                        siteId,
                        loaded.revision().number(),
                        EngineVersion.NOW,
                        null,
                        json.writeValueAsString(summary),
                        count(summary, Severity.DANGER),
                        count(summary, Severity.CAUTION),
                        summary.unsent(),
                        summary.drifted(),
                        due.map(Upkeep::due).orElse(null),
                        due.map(one -> one.kind().words()).orElse(null)));
            });
        } catch (UnreadablePlan broken) {
            keep(siteId, broken.getMessage());
        } catch (DataAccessException away) {
            throw away;
        } catch (RuntimeException fault) {
            // One site that cannot be looked at does not keep the others from being listed.
            LOG.error("the newest revision of {} cannot be looked at", siteId, fault);
            keep(siteId, "A fault of the engine: " + fault.getMessage());
        }
    }

    private void keep(String siteId, String unreadable) {
        plans.newest(siteId)
                .ifPresent(number -> mapper.keep(new SummaryMapper.Row(
                        siteId, number, EngineVersion.NOW, unreadable, null, 0, 0, 0, 0, null, null)));
    }

    private static int count(PlanSummary summary, Severity severity) {
        return summary.findings().getOrDefault(severity, 0L).intValue();
    }

    private PlanSummary summary(String siteId, Plan plan) {
        return new PlanSummary(
                plan.site().nominalVolts(),
                plan.site().battery().name(),
                plan.site().battery().capacityAmpereHours(),
                plan.site().arrays().stream()
                        .mapToDouble(array -> array.peakWatts())
                        .sum(),
                plan.program().outputs().size(),
                Checks.of(plan, profiles.namedIn(siteId, plan)).stream()
                        .filter(Finding::isOpen)
                        .collect(Collectors.groupingBy(Finding::severity, Collectors.counting())),
                plan.program().unsent().size(),
                (int) Stream.concat(plan.program().drifted().stream(), readings.drifted(siteId, plan).stream())
                        .distinct()
                        .count());
    }

    /** A part of the list, as somebody sees it. */
    List<SummaryMapper.Listed> page(
            Authentication who, boolean archived, String search, String filter, int offset, int size) {
        Bounds.known("filter", filter, FILTERS);
        Bounds.within("offset", offset, "sites", 0, MOST_SITES);
        Bounds.within("size", size, "sites", 1, LARGEST_PAGE);
        return fresh(asked(who, "", archived, search.strip().toLowerCase(Locale.ROOT), filter, offset, size));
    }

    int countArchived(Authentication who) {
        return mapper.countArchived(who.getName(), Role.of(who).reaches(Role.ADMINISTRATOR));
    }

    /** One site, whatever has become of it. */
    SummaryMapper.Listed one(Authentication who, String siteId) {
        return fresh(asked(who, siteId, false, "", FILTERS.get(0), 0, 1)).stream()
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("The site \"" + siteId + "\""));
    }

    List<SummaryMapper.Named> names() {
        return mapper.names();
    }

    private SummaryMapper.Asked asked(
            Authentication who, String id, boolean archived, String search, String filter, int offset, int size) {
        boolean seesAll = Role.of(who).reaches(Role.ADMINISTRATOR);
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        return new SummaryMapper.Asked(who.getName(), seesAll, id, archived, search, filter, today, offset, size);
    }

    /** What is in view is told by the engine that runs here, also where the chore has not come to it yet. */
    private List<SummaryMapper.Listed> fresh(SummaryMapper.Asked asked) {
        List<SummaryMapper.Listed> listed = mapper.list(asked);
        List<String> old = listed.stream()
                .filter(one -> !EngineVersion.NOW.equals(one.engine()))
                .map(SummaryMapper.Listed::id)
                .toList();
        old.forEach(this::keep);
        return old.isEmpty() ? listed : mapper.list(asked);
    }
}
