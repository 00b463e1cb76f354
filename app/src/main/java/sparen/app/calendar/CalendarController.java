package sparen.app.calendar;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.util.DateTimeComponents;
import biweekly.util.ICalDate;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Date;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.account.Secrets;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.crew.Crews;
import sparen.app.logbook.Logbook;
import sparen.app.right.Allowed;
import sparen.app.right.Anyone;
import sparen.app.right.Role;
import sparen.app.site.Site;
import sparen.app.site.SiteService;
import sparen.app.site.SiteState;
import sparen.app.web.Refusal;
import sparen.logbook.Upkeep;
import sparen.quantity.Bounds;

/** Feeds of what is due: of one site, or of all that somebody sees. */
@RestController
class CalendarController {
    private static final int MOST_FEEDS = 50;

    private final CalendarMapper mapper;
    private final Crews crews;
    private final SiteService sites;
    private final Logbook logbook;
    private final AuditLog audit;
    private final Clock clock;

    CalendarController(
            CalendarMapper mapper, Crews crews, SiteService sites, Logbook logbook, AuditLog audit, Clock clock) {
        this.mapper = mapper;
        this.crews = crews;
        this.sites = sites;
        this.logbook = logbook;
        this.audit = audit;
        this.clock = clock;
    }

    /**
     * A feed of somebody.
     *
     * @param id its name in addresses of the API; not its own address, which is told once
     * @param site whose upkeep it tells; absent for all sites
     */
    record CalendarFeed(String id, Optional<String> site, Instant madeAt) {}

    /**
     * A calendar to be made.
     *
     * @param site whose upkeep it is to tell; absent for all sites that its owner sees
     */
    record NewFeed(Optional<String> site) {
        NewFeed {
            site = Bounds.orEmpty(site);
        }
    }

    /**
     * A feed with its address, which is told this once.
     *
     * @param path under which a calendar reads it
     */
    record MadeFeed(CalendarFeed feed, String path) {}

    /** One's own feeds. */
    @GetMapping("/api/account/calendar-feeds")
    @Allowed(Role.OBSERVER)
    List<CalendarFeed> feeds(Authentication who) {
        return mapper.of(who.getName()).stream()
                .map(one -> new CalendarFeed(one.tokenHash(), Optional.ofNullable(one.siteId()), one.madeAt()))
                .toList();
    }

    /** Makes a feed. */
    @PostMapping("/api/account/calendar-feeds")
    @Allowed(value = Role.OBSERVER, bySession = true)
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    public MadeFeed make(@RequestBody NewFeed wanted, Authentication who) {
        Bounds.within("feeds", mapper.of(who.getName()).size() + 1, "feeds", 1, MOST_FEEDS);
        wanted.site().ifPresent(site -> {
            sites.mustExist(site);
            if (crews.hiddenFrom(who).contains(site)) {
                throw Refusal.notFound("The site \"" + site + "\"");
            }
        });
        String secret = Secrets.make();
        Instant now = clock.instant();
        mapper.add(Secrets.hash(secret), who.getName(), wanted.site().orElse(null), now);
        audit.note(Deed.CALENDAR_FEED_MADE, wanted.site().orElse("all sites"));
        return new MadeFeed(
                new CalendarFeed(Secrets.hash(secret), wanted.site(), now), "/api/calendar/" + secret + ".ics");
    }

    /** Withdraws a feed: its address answers nobody from then on. */
    @DeleteMapping("/api/account/calendar-feeds/{id}")
    @Allowed(value = Role.OBSERVER, bySession = true)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void withdraw(@PathVariable String id, Authentication who) {
        if (mapper.remove(who.getName(), id) == 0) {
            throw Refusal.notFound("The feed");
        }
        audit.note(Deed.CALENDAR_FEED_WITHDRAWN, id.substring(0, Math.min(8, id.length())));
    }

    /** What is due, as iCalendar, for who has the address. */
    @GetMapping(value = "/api/calendar/{secret}.ics", produces = "text/calendar;charset=UTF-8")
    @Anyone
    String feed(@PathVariable String secret) {
        CalendarMapper.Feed feed =
                mapper.find(Secrets.hash(secret)).orElseThrow(() -> Refusal.notFound("This calendar"));
        Set<String> hidden = crews.hiddenFrom(feed.account(), feed.isAdministrator());
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Sparen//upkeep//EN");
        sites.list().stream()
                .filter(site -> site.state() == SiteState.ACTIVE && !hidden.contains(site.id()))
                .filter(site -> feed.siteId() == null || feed.siteId().equals(site.id()))
                .forEach(site -> add(calendar, site));
        return Biweekly.write(calendar).go();
    }

    private void add(ICalendar calendar, Site site) {
        site.upkeep().ifPresent(day -> event(calendar, site, "visit", "visit", day));
        due(site)
                .forEach(one -> event(
                        calendar,
                        site,
                        one.kind().name().toLowerCase(Locale.ROOT),
                        one.kind().words() + ", every " + one.everyDays() + " d",
                        one.due()));
    }

    /** A site without a plan, or with one that cannot be read, has nothing due that is known. */
    private List<Upkeep> due(Site site) {
        try {
            return logbook.due(site.id());
        } catch (Refusal nothingKnown) {
            return List.of();
        }
    }

    private void event(ICalendar calendar, Site site, String kind, String words, LocalDate day) {
        VEvent event = new VEvent();
        event.setUid(site.id() + "-" + kind + "-" + day + "@sparen");
        event.setDateTimeStamp(Date.from(clock.instant()));
        event.setSummary(site.name() + ": " + words);
        event.setDateStart(
                new ICalDate(new DateTimeComponents(day.getYear(), day.getMonthValue(), day.getDayOfMonth()), false));
        calendar.addEvent(event);
    }
}
