package sparen.app.work;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.web.Refusal;
import tools.jackson.databind.json.JsonMapper;

/** Takes long work in, finds it again, and cancels it. */
@Service
public class WorkService {
    private static final int MOST_KEPT = 30;
    private static final Duration LONGEST_KEPT = Duration.ofDays(180);
    /** Far longer than short work takes. */
    private static final Duration LONG_FOR_SHORT_WORK = Duration.ofMinutes(2);

    private final WorkMapper mapper;
    private final WorkSchedule schedule;
    private final JsonMapper json;
    private final Clock clock;
    private final AuditLog audit;

    WorkService(WorkMapper mapper, WorkSchedule schedule, JsonMapper json, Clock clock, AuditLog audit) {
        this.audit = audit;
        this.mapper = mapper;
        this.schedule = schedule;
        this.json = json;
        this.clock = clock;
    }

    /** Takes work in; some node begins it at once, or as soon as one is free. */
    public Work begin(String siteId, String kind, Object request, String account) {
        Work work = keep(siteId, kind, request, account);
        schedule.add(work, Duration.ZERO);
        return work;
    }

    /** Takes work in that is done right here, because it is short. */
    public Work doNow(String siteId, String kind, Object request, String account) {
        Work work = keep(siteId, kind, request, account);
        // Where this node is lost in the middle of it, another takes it up.
        schedule.add(work, LONG_FOR_SHORT_WORK);
        schedule.perform(work.id(), 0);
        return find(siteId, work.id());
    }

    private Work keep(String siteId, String kind, Object request, String account) {
        String id = UUID.randomUUID().toString();
        mapper.insert(id, siteId, kind, account, json.writeValueAsString(request), clock.instant());
        mapper.prune(siteId, account, MOST_KEPT, clock.instant().minus(LONGEST_KEPT));
        return find(siteId, id);
    }

    /**
     * A piece of work.
     *
     * @throws Refusal when the site has none by that id
     */
    public Work find(String siteId, String id) {
        return mapper.find(siteId, id).orElseThrow(() -> Refusal.notFound("The work " + id));
    }

    /**
     * What a piece of work is and what was asked, without what came of it.
     *
     * @throws Refusal when the site has none by that id
     */
    public Work asked(String siteId, String id) {
        return mapper.asked(siteId, id).orElseThrow(() -> Refusal.notFound("The work " + id));
    }

    /** What came of the parts that are done of work that falls into several, in their order. */
    public List<String> parts(Work work) {
        return mapper.parts(work.id());
    }

    /** How many pieces of work go before one that waits; 0 for one that does not. */
    public int before(Work work) {
        return work.state() == Work.State.WAITING ? mapper.countBefore(work.id()) : 0;
    }

    /** The latest of a site, newest first, without requests and results. */
    public List<Work> latest(String siteId, int most) {
        return mapper.latest(siteId, most);
    }

    /**
     * Asks it to stop; one that is over stays as it is.
     *
     * @param mayAll whether the account may stop what another has asked for
     * @throws Refusal when it may not
     */
    @Transactional
    public Work cancel(String siteId, String id, String account, boolean mayAll) {
        if (!mayAll && !find(siteId, id).account().equals(account)) {
            throw new Refusal(
                    HttpStatus.FORBIDDEN,
                    "not-allowed",
                    "Somebody else asked for this; your account may stop only its own.",
                    Map.of());
        }
        mapper.cancel(siteId, id, clock.instant());
        audit.note(Deed.WORK_CANCELLED, siteId, id);
        return find(siteId, id);
    }

    /** Reads what was asked or what came of it. */
    public <T> T read(String text, Class<T> type) {
        return json.readValue(text, type);
    }
}
