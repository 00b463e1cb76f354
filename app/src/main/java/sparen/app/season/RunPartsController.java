package sparen.app.season;

import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.web.Refusal;
import sparen.app.work.Work;
import sparen.app.work.WorkService;
import sparen.export.RunTables;
import sparen.quantity.Bounds;
import sparen.question.Linked;
import sparen.question.RunEvents;
import sparen.question.RunInputs;
import sparen.question.RunPart;
import sparen.question.RunView;
import sparen.result.Window;
import sparen.simulation.Simulation.Recorded;

/**
 * What is shown of a run that is over, and no more of it than is looked at: windows, events, chains, tables. Side is "after" for the
 * second run of a comparison.
 */
@RestController
class RunPartsController {
    private static final int MOST_BUCKETS = 4000;
    private static final int MOST_STEPS = 20_000;
    private static final MediaType CSV = MediaType.parseMediaType("text/csv;charset=UTF-8");
    private static final String AFTER = "after";

    private final Runs runs;
    private final WorkService works;

    RunPartsController(Runs runs, WorkService works) {
        this.runs = runs;
        this.works = works;
    }

    /** A span of the tape of a run, in as many steps as asked for. */
    @GetMapping("/api/season/{siteId}/runs/{id}/view")
    @Allowed(Role.OBSERVER)
    RunView view(
            @PathVariable String siteId,
            @PathVariable String id,
            @RequestParam(defaultValue = "before") String side,
            @RequestParam double from,
            @RequestParam double to,
            @RequestParam int buckets) {
        Bounds.within("buckets", buckets, "buckets", 1, MOST_BUCKETS);
        Window window = new Window(from, to, buckets);
        Recorded recorded = recorded(siteId, id, side);
        return RunView.of(recorded.result(), recorded.recording().trace(window), window);
    }

    /** What a part of a run holds, in the whole hours of it that hold what lies between two instants (s). */
    @GetMapping("/api/season/{siteId}/runs/{id}/part")
    @Allowed(Role.OBSERVER)
    RunPart part(
            @PathVariable String siteId,
            @PathVariable String id,
            @RequestParam(defaultValue = "before") String side,
            @RequestParam double from,
            @RequestParam double to) {
        return RunPart.of(recorded(siteId, id, side).part(from, to));
    }

    /** Events between two instants (s); of one subject where it is told. */
    @GetMapping("/api/season/{siteId}/runs/{id}/events")
    @Allowed(Role.OBSERVER)
    RunEvents events(
            @PathVariable String siteId,
            @PathVariable String id,
            @RequestParam(defaultValue = "before") String side,
            @RequestParam(defaultValue = "0") double from,
            @RequestParam(defaultValue = "3.2e8") double to,
            @RequestParam(defaultValue = "") String subject,
            @RequestParam(defaultValue = "0") int skip,
            @RequestParam(defaultValue = "100") int most) {
        return RunEvents.of(recorded(siteId, id, side).result(), from, to, subject, skip, most);
    }

    /** How an event came about. */
    @GetMapping("/api/season/{siteId}/runs/{id}/events/{index}/chain")
    @Allowed(Role.OBSERVER)
    List<Linked> chain(
            @PathVariable String siteId,
            @PathVariable String id,
            @PathVariable int index,
            @RequestParam(defaultValue = "before") String side) {
        return Linked.of(recorded(siteId, id, side).result(), index);
    }

    /**
     * A run as a table: trace, events, or ledger by days.
     *
     * @param from of a trace, since the start of the run (s)
     * @param to of a trace (s); 0 for its end
     * @param step of a trace: whole steps of so long (s), from a whole one on; 0 for as fine as a picture
     * @param bom whether a byte order mark stands before it, for programs that want one
     */
    @GetMapping("/api/season/{siteId}/runs/{id}/{table}.csv")
    @Allowed(Role.OBSERVER)
    ResponseEntity<String> table(
            @PathVariable String siteId,
            @PathVariable String id,
            @PathVariable String table,
            @RequestParam(defaultValue = "before") String side,
            @RequestParam(defaultValue = "0") double from,
            @RequestParam(defaultValue = "0") double to,
            @RequestParam(defaultValue = "0") int step,
            @RequestParam(defaultValue = "false") boolean bom) {
        Work work = works.asked(siteId, id);
        Recorded recorded = recorded(work, side);
        RunInputs inputs = inputs(work, side);
        String text;
        if (table.equals("trace")) {
            double end = to == 0 ? recorded.result().seconds() : to;
            Window window = step == 0 ? new Window(from, end, MOST_BUCKETS) : inSteps(from, end, step);
            text = RunTables.trace(recorded.recording().trace(window), inputs.start());
        } else if (table.equals("events")) {
            text = RunTables.events(recorded.result(), inputs.start());
        } else if (table.equals("ledger")) {
            text = RunTables.ledger(recorded.result());
        } else {
            throw Refusal.notFound("A table \"" + table + "\"");
        }
        String disposition = ContentDisposition.attachment()
                .filename(siteId + "-" + table + ".csv")
                .build()
                .toString();
        return ResponseEntity.ok()
                .contentType(CSV)
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition)
                .body(bom ? "\uFEFF" + text : text);
    }

    /** Whole steps that hold a span of a run (s). */
    private static Window inSteps(double from, double to, int step) {
        Bounds.within("step", step, "s", 1, 86_400);
        double first = Math.floor(from / step) * step;
        double count = Math.ceil((to - first) / step);
        Bounds.within("step", count, "steps", 1, MOST_STEPS);
        return new Window(first, first + count * step, (int) count);
    }

    private Recorded recorded(String siteId, String id, String side) {
        return recorded(works.asked(siteId, id), side);
    }

    private Recorded recorded(Work work, String side) {
        if (work.state() != Work.State.DONE) {
            throw Refusal.notFound("What came of the work " + work.id());
        }
        String key = work.kind().equals(RunWork.NAME) ? work.id() : ComparisonWork.key(work, side.equals(AFTER));
        return runs.kept(key, () -> runs.scenario(work.siteId(), inputs(work, side)));
    }

    private RunInputs inputs(Work work, String side) {
        if (work.kind().equals(RunWork.NAME)) {
            return works.read(work.request(), RunInputs.class);
        }
        if (work.kind().equals(ComparisonWork.NAME)) {
            return works.read(work.request(), ComparisonWork.ComparisonRequest.class)
                    .side(side.equals(AFTER));
        }
        throw Refusal.notFound("A run in the work " + work.id());
    }
}
