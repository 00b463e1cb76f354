package sparen.app.plan;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.site.SiteContent;
import sparen.app.web.Refusal;
import sparen.document.DocumentProblem;
import sparen.document.Documents;
import sparen.document.PlanDocument;
import sparen.program.Plan;
import sparen.revision.Changes;

/** Reads and saves revisions. */
@Service
public class PlanService implements SiteContent {
    /** So many sentences are kept of a revision; who wants all compares the two. */
    private static final int MOST_CHANGES = 100;

    private final RevisionMapper mapper;
    private final Clock clock;
    private final AuditLog audit;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;

    PlanService(
            RevisionMapper mapper,
            Clock clock,
            ApplicationEventPublisher events,
            AuditLog audit,
            TransactionTemplate transaction) {
        this.audit = audit;
        this.transaction = transaction;
        this.events = events;
        this.mapper = mapper;
        this.clock = clock;
    }

    /** A revision with its plan. */
    public record Loaded(Revision revision, Plan plan) {}

    /** The newest revision of a site, if it has one. */
    public Optional<Loaded> latest(String siteId) {
        return mapper.latest(siteId).map(PlanService::load);
    }

    @Override
    public void mustBeReadable(String siteId) {
        latest(siteId);
    }

    /** The number of the newest revision, readable or not. */
    public Optional<Integer> newest(String siteId) {
        return mapper.newest(siteId);
    }

    /** A certain revision of a site. */
    public Loaded revision(String siteId, int number) {
        return load(mapper.find(siteId, number).orElseThrow(() -> Refusal.notFound("Revision " + number)));
    }

    /** Whether a revision was made from a certain request. */
    public boolean isMade(String siteId, UUID request) {
        return mapper.made(siteId, request).isPresent();
    }

    List<Revision> history(String siteId) {
        return mapper.history(siteId).stream().map(PlanService::about).toList();
    }

    /**
     * Saves a plan as the revision after its parent.
     *
     * @param parent number of the revision it was made from; empty for a site's first
     * @param author account name
     * @throws Refusal when another revision was saved on that parent meanwhile; nothing is saved then
     */
    public Loaded save(String siteId, Optional<Integer> parent, String note, Plan plan, String author) {
        return save(siteId, parent, note, plan, author, Optional.empty());
    }

    /**
     * Saves a plan as the revision after its parent.
     *
     * @param request made once by whoever sends it: sent twice, it is saved once, and the answer is the same
     */
    public Loaded save(
            String siteId, Optional<Integer> parent, String note, Plan plan, String author, Optional<UUID> request) {
        Optional<RevisionMapper.Row> saved = request.flatMap(id -> mapper.made(siteId, id));
        if (saved.isPresent()) {
            return load(saved.get());
        }
        int number = parent.map(before -> before + 1).orElse(0);
        Optional<RevisionMapper.Row> latest = mapper.latest(siteId);
        if (!latest.map(RevisionMapper.Row::number).equals(parent)) {
            throw outdated(siteId);
        }
        RevisionMapper.Row row = new RevisionMapper.Row(
                siteId,
                number,
                parent.orElse(null),
                PlanDocument.VERSION,
                Documents.write(PlanDocument.of(plan)),
                note,
                author,
                clock.instant().truncatedTo(ChronoUnit.MILLIS),
                null,
                latest.map(old -> saidSince(old, plan)).orElse(""),
                request.orElse(null));
        try {
            transaction.executeWithoutResult(status -> {
                mapper.insert(row);
                mapper.discard(siteId, author);
                audit.note(
                        Deed.REVISION_SAVED,
                        author,
                        siteId,
                        "revision " + number + (note.isBlank() ? "" : ": " + note));
            });
        } catch (DuplicateKeyException savedMeanwhile) {
            return load(request.flatMap(id -> mapper.made(siteId, id)).orElseThrow(() -> outdated(siteId)));
        }
        events.publishEvent(new PlanSaved(siteId, number));
        return revision(siteId, number);
    }

    private static String saidSince(RevisionMapper.Row old, Plan plan) {
        try {
            return said(Changes.between(load(old).plan(), plan));
        } catch (UnreadablePlan unreadable) {
            return "revision " + old.number() + " could not be read: what changed since is not known";
        }
    }

    /**
     * Puts the newest revision that can be read on top of one that cannot.
     *
     * @throws Refusal when the newest can be read, or none can
     */
    public Loaded repair(String siteId, String author) {
        RevisionMapper.Row newest =
                mapper.latest(siteId).orElseThrow(() -> Refusal.notFound("A revision of this site"));
        for (int number = newest.number(); number >= 0; number--) {
            try {
                Plan plan = revision(siteId, number).plan();
                if (number == newest.number()) {
                    throw new Refusal(
                            HttpStatus.CONFLICT,
                            "readable",
                            "The newest revision can be read: nothing is to be repaired.",
                            Map.of());
                }
                return save(siteId, Optional.of(newest.number()), "Brought back revision " + number, plan, author);
            } catch (UnreadablePlan older) {
                // The next older one is tried; where none is left the last line says so.
                continue;
            }
        }
        throw Refusal.notFound("A revision of this site that can be read");
    }

    /** What is different in one revision from another. */
    List<Changes.Change> changes(String siteId, int from, int to) {
        return Changes.between(
                revision(siteId, from).plan(), revision(siteId, to).plan());
    }

    /** Gives a revision a name, or takes it away. */
    @Transactional
    public Revision rename(String siteId, int number, Optional<String> name) {
        audit.note(Deed.REVISION_NAMED, siteId, "revision " + number + ": " + name.orElse("no name"));
        mapper.rename(siteId, number, name.orElse(null));
        return revision(siteId, number).revision();
    }

    /** What people have changed at a site and not saved, the newest first. */
    List<RevisionMapper.Draft> drafts(String siteId) {
        return mapper.drafts(siteId);
    }

    /** Keeps what somebody has changed and not saved; it replaces what was kept of theirs. */
    Instant keep(String siteId, String account, int parent, Plan plan) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        mapper.keep(siteId, account, parent, Documents.write(PlanDocument.of(plan)), now);
        return now;
    }

    void discard(String siteId, String account) {
        mapper.discard(siteId, account);
    }

    private static String said(List<Changes.Change> changes) {
        return changes.stream()
                .limit(MOST_CHANGES)
                .map(change -> change.says().replace('\n', ' '))
                .collect(Collectors.joining("\n"));
    }

    private Refusal outdated(String siteId) {
        Map<String, Object> properties = mapper.latest(siteId)
                .map(row -> Map.<String, Object>of("latest", about(row)))
                .orElse(Map.of());
        return new Refusal(
                HttpStatus.CONFLICT,
                "outdated-revision",
                "Somebody saved a newer revision meanwhile. Nothing of yours was saved or lost: choose which to keep.",
                properties);
    }

    private static Loaded load(RevisionMapper.Row row) {
        return new Loaded(about(row), plan("Revision " + row.number() + " of " + row.siteId(), row.document()));
    }

    /** The plan of a draft. */
    static Plan plan(RevisionMapper.Draft draft) {
        return plan("The draft of " + draft.account() + " of " + draft.siteId(), draft.document());
    }

    private static Plan plan(String what, String document) {
        try {
            return Documents.read(document).plan();
        } catch (DocumentProblem broken) {
            throw new UnreadablePlan(what, broken);
        }
    }

    private static Revision about(RevisionMapper.Row row) {
        return new Revision(
                row.number(),
                Optional.ofNullable(row.parent()),
                row.note(),
                row.author(),
                row.savedAt(),
                Optional.ofNullable(row.name()),
                row.changes().lines().toList());
    }
}
