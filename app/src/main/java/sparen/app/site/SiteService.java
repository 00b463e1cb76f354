package sparen.app.site;

import java.text.Normalizer;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.web.Refusal;

/** The sites. */
@Service
public class SiteService {
    private static final int LONGEST_STEM = 40;
    private static final int MOST_NAMESAKES = 1000;

    private final SiteMapper mapper;
    private final ApplicationEventPublisher events;
    private final AuditLog audit;

    SiteService(SiteMapper mapper, ApplicationEventPublisher events, AuditLog audit) {
        this.audit = audit;
        this.mapper = mapper;
        this.events = events;
    }

    /** Refuses the id of a site that is not there. */
    public void mustExist(String siteId) {
        if (mapper.count(siteId) == 0) {
            throw Refusal.notFound("The site \"" + siteId + "\"");
        }
    }

    /** Adds a site; one that is there already stays as it is. */
    public void add(String siteId, String name) {
        mapper.insert(siteId, name);
    }

    /**
     * Adds a site under an address of its own, made from its name.
     *
     * @return its id
     */
    public String addNamed(String name) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD)
                .toLowerCase(Locale.ROOT)
                .replaceAll("\\p{M}", "")
                .replace("ø", "o")
                .replace("æ", "ae")
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        String stem = plain.isEmpty() ? "site" : plain.substring(0, Math.min(LONGEST_STEM, plain.length()));
        for (int number = 1; number <= MOST_NAMESAKES; number++) {
            String id = number == 1 ? stem : stem + "-" + number;
            if (isAdded(id, name)) {
                return id;
            }
        }
        throw new IllegalStateException("there are " + MOST_NAMESAKES + " sites called \"" + name + "\"");
    }

    /**
     * Adds a site under an address that somebody else made for it.
     *
     * @return its id
     * @throws Refusal when another is there
     */
    public String addAs(String id, String name) {
        if (!isAdded(id, name)) {
            throw new Refusal(
                    HttpStatus.CONFLICT, "site-is-there", "Another site is called \"" + id + "\" already.", Map.of());
        }
        return id;
    }

    private boolean isAdded(String id, String name) {
        boolean isAdded = mapper.insert(id, name) == 1;
        if (isAdded) {
            audit.note(Deed.SITE_MADE, id, name);
        }
        return isAdded;
    }

    /** One of them, also a deleted one. */
    public Site find(String siteId) {
        return mapper.find(siteId)
                .map(SiteService::site)
                .orElseThrow(() -> Refusal.notFound("The site \"" + siteId + "\""));
    }

    /** Puts a site away, deletes it or brings it back; nothing of it is lost. */
    @Transactional
    public Site setState(String siteId, SiteState state) {
        if (mapper.setState(siteId, state) == 0) {
            throw Refusal.notFound("The site \"" + siteId + "\"");
        }
        audit.note(Deed.SITE_STATE_CHANGED, siteId, state.name());
        return find(siteId);
    }

    /** All that are not deleted, by name. */
    public List<Site> list() {
        return mapper.list().stream().map(SiteService::site).toList();
    }

    /** Notes when a site was last tested on the bench, and when somebody has to go there next. */
    @Transactional
    public Site setCare(String siteId, Optional<LocalDate> benchTest, Optional<LocalDate> upkeep) {
        if (mapper.setCare(siteId, benchTest.orElse(null), upkeep.orElse(null)) == 0) {
            throw Refusal.notFound("The site \"" + siteId + "\"");
        }
        audit.note(
                Deed.CARE_CHANGED,
                siteId,
                "bench test " + benchTest.map(LocalDate::toString).orElse("none") + ", upkeep "
                        + upkeep.map(LocalDate::toString).orElse("none"));
        events.publishEvent(
                new CarePlanned(siteId, upkeep.map(LocalDate::toString).orElse("none")));
        return find(siteId);
    }

    private static Site site(SiteMapper.Row row) {
        return new Site(
                row.id(),
                row.name(),
                row.state(),
                Optional.ofNullable(row.benchTest()),
                Optional.ofNullable(row.upkeep()));
    }
}
