package sparen.app.plan;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import sparen.app.web.Refusal;
import sparen.document.DocumentProblem;
import sparen.document.Documents;
import sparen.document.PlanDocument;
import sparen.program.Plan;

/** Reads and saves revisions. */
@Service
public class PlanService {
    private final RevisionMapper mapper;
    private final Clock clock;

    PlanService(RevisionMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** A revision with its plan. */
    public record Loaded(Revision revision, Plan plan) {}

    /** The newest revision of a site, if it has one. */
    public Optional<Loaded> latest(String siteId) {
        return mapper.latest(siteId).map(PlanService::load);
    }

    Loaded revision(String siteId, int number) {
        return load(mapper.find(siteId, number).orElseThrow(() -> Refusal.notFound("Revision " + number)));
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
                clock.instant().truncatedTo(ChronoUnit.MILLIS));
        try {
            mapper.insert(row);
        } catch (DuplicateKeyException savedMeanwhile) {
            throw outdated(siteId);
        }
        return revision(siteId, number);
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
        try {
            return new Loaded(about(row), Documents.read(row.document()).plan());
        } catch (DocumentProblem broken) {
            throw new IllegalStateException(
                    "revision " + row.number() + " of " + row.siteId() + " cannot be read at " + broken.pointer(),
                    broken);
        }
    }

    private static Revision about(RevisionMapper.Row row) {
        return new Revision(row.number(), Optional.ofNullable(row.parent()), row.note(), row.author(), row.savedAt());
    }
}
