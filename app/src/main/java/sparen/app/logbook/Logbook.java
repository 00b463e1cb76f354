package sparen.app.logbook;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.plan.PlanService;
import sparen.app.site.SiteContent;
import sparen.app.site.SiteService;
import sparen.app.web.Photo;
import sparen.app.web.Refusal;
import sparen.format.DailyFigure;
import sparen.logbook.EntryKind;
import sparen.logbook.LogEntry;
import sparen.logbook.Upkeep;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import tools.jackson.databind.json.JsonMapper;

/** What is measured and done at sites, and when it is due again. */
@Service
public class Logbook implements SiteContent {
    /** Every entry was made before. */
    static final Instant AFTER_ALL = Instant.parse("2200-01-01T00:00:00Z");

    private static final int MOST_PHOTOS = 1000;

    private final LogMapper mapper;
    private final PlanService plans;
    private final SiteService sites;
    private final AuditLog audit;
    private final JsonMapper json;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    Logbook(
            LogMapper mapper,
            PlanService plans,
            SiteService sites,
            AuditLog audit,
            JsonMapper json,
            Clock clock,
            ApplicationEventPublisher events) {
        this.events = events;
        this.mapper = mapper;
        this.plans = plans;
        this.sites = sites;
        this.audit = audit;
        this.json = json;
        this.clock = clock;
    }

    private PlanService.Loaded latest(String siteId) {
        sites.mustExist(siteId);
        return plans.latest(siteId).orElseThrow(() -> Refusal.notFound("A plan of the site"));
    }

    Plan plan(String siteId) {
        return latest(siteId).plan();
    }

    Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    LogEntry read(LogMapper.Row row) {
        return json.readValue(row.entry(), LogEntry.class);
    }

    LogEntry entry(String siteId, UUID id) {
        return mapper.entry(siteId, id).map(this::read).orElseThrow(() -> Refusal.notFound("This entry of the log"));
    }

    /** Keeps an entry; one that is kept already stays as it is. */
    @Transactional
    public void keep(String siteId, LogEntry entry, String account) {
        entry.mustFit(plan(siteId));
        Bounds.within("at", entry.at().atZone(ZoneId.of("UTC")).getYear(), "(year)", 1990, 2100);
        LogMapper.Row row = new LogMapper.Row(entry.id(), json.writeValueAsString(entry), account, now(), null);
        if (mapper.add(siteId, entry.kind().name(), entry.at(), row) == 1) {
            audit.note(Deed.LOG_ENTRY_MADE, siteId, entry.kind().words());
            events.publishEvent(new LogKept(siteId));
        }
    }

    /** Withdraws an entry, or puts it back: it is seen as withdrawn, and counts for nothing then. */
    @Transactional
    public void setWithdrawn(String siteId, UUID id, boolean withdrawn, String account) {
        LogEntry entry = entry(siteId, id);
        int changed = withdrawn ? mapper.withdraw(siteId, id, account, now()) : mapper.putBack(siteId, id);
        if (changed == 1) {
            audit.note(
                    withdrawn ? Deed.LOG_ENTRY_WITHDRAWN : Deed.LOG_ENTRY_PUT_BACK,
                    siteId,
                    entry.kind().words());
            events.publishEvent(new LogKept(siteId));
        }
    }

    void addPhoto(String siteId, UUID entry, UUID photo, byte[] picture, String account) {
        entry(siteId, entry);
        Bounds.within("photos", mapper.photos(siteId).size() + 1, "photos of the site", 1, MOST_PHOTOS);
        mapper.addPhoto(siteId, new LogMapper.PhotoRow(photo, entry, account, now()), Photo.redrawn(picture));
    }

    /** What is due at a site, the next first. */
    public List<Upkeep> due(String siteId) {
        PlanService.Loaded loaded = latest(siteId);
        ZoneId zone = loaded.plan().site().location().zone();
        Map<EntryKind, LocalDate> last = new EnumMap<>(EntryKind.class);
        mapper.last(siteId)
                .forEach(row -> last.put(EntryKind.valueOf(row.kind()), LocalDate.ofInstant(row.at(), zone)));
        sites.find(siteId)
                .benchTest()
                .ifPresent(day ->
                        last.merge(EntryKind.BENCH_TESTED, day, (one, other) -> one.isAfter(other) ? one : other));
        Map<EntryKind, Integer> said = new EnumMap<>(EntryKind.class);
        mapper.intervals(siteId).forEach(row -> said.put(EntryKind.valueOf(row.kind()), row.everyDays()));
        LocalDate since = LocalDate.ofInstant(loaded.revision().savedAt(), zone);
        return Upkeep.of(loaded.plan(), said, last, since);
    }

    /** Says how often something is due (d): 0 for never, absent for as usual. */
    @Transactional
    public void setInterval(String siteId, EntryKind kind, Optional<Integer> days, String account) {
        latest(siteId);
        if (days.isPresent()) {
            Bounds.within("everyDays", days.get(), "d", 0, Upkeep.MOST_DAYS);
            mapper.setInterval(siteId, kind.name(), days.get(), account, now());
        } else {
            mapper.removeInterval(siteId, kind.name());
        }
        audit.note(
                Deed.UPKEEP_SET,
                siteId,
                kind.words() + " "
                        + days.map(every -> every == 0 ? "never" : "every " + every + " d")
                                .orElse("as usual"));
        events.publishEvent(new LogKept(siteId));
    }

    /** The daily figures of a site. */
    public List<DailyFigure> days(String siteId) {
        return mapper.days(siteId).stream()
                .map(row -> new DailyFigure(
                        row.day(),
                        row.lowestVolts(),
                        Optional.ofNullable(row.highestVolts()),
                        Optional.ofNullable(row.inWattHours()),
                        Optional.ofNullable(row.outWattHours())))
                .toList();
    }

    @Override
    public void mustBeReadable(String siteId) {
        mapper.entries(siteId, AFTER_ALL, Integer.MAX_VALUE).forEach(this::read);
        days(siteId);
        due(siteId);
    }

    /** Keeps daily figures, all or none; a day that is there is what it is now. */
    @Transactional
    public void putDays(String siteId, List<DailyFigure> days, String account) {
        sites.mustExist(siteId);
        Instant at = now();
        for (DailyFigure day : days) {
            mapper.putDay(
                    siteId,
                    new LogMapper.DayRow(
                            day.day(),
                            day.lowestVolts(),
                            day.highestVolts().orElse(null),
                            day.inWattHours().orElse(null),
                            day.outWattHours().orElse(null)),
                    account,
                    at);
        }
        audit.note(Deed.DAILY_FIGURES_NOTED, siteId, days.size() + " days");
    }

    @Transactional
    public void removeDay(String siteId, LocalDate day) {
        sites.mustExist(siteId);
        if (mapper.removeDay(siteId, day) == 1) {
            audit.note(Deed.DAILY_FIGURES_NOTED, siteId, day + " taken away");
        }
    }
}
