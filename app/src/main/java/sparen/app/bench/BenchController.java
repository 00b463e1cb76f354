package sparen.app.bench;

import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.bench.AutoBench;
import sparen.bench.BenchScript;
import sparen.bench.BenchState;
import sparen.bench.LevelWalk;
import sparen.bench.LiveBench;
import sparen.bench.SupplyBench;
import sparen.program.Plan;
import sparen.quantity.Bounds;

/** Plays a program on the bench. */
@RestController
class BenchController {
    private final SiteService sites;

    BenchController(SiteService sites) {
        this.sites = sites;
    }

    /**
     * What was done at a bench so far.
     *
     * @param untilSeconds how far it is played (s), 0 to a week
     * @param live whether a model battery answers; absent for every voltage imposed
     * @param shownSeconds how much of a live bench's time is shown as a trace (s), 10 to a week; absent for 10 min
     */
    record BenchRequest(
            Plan plan, BenchScript script, double untilSeconds, Optional<Boolean> live, Optional<Double> shownSeconds) {
        private static final double USUAL_SHOWN_SECONDS = 600;

        BenchRequest {
            Bounds.present("plan", plan);
            Bounds.present("script", script);
            Bounds.within("untilSeconds", untilSeconds, 0, BenchScript.MOST_SECONDS);
            live = Bounds.orEmpty(live);
            shownSeconds = Bounds.orEmpty(shownSeconds);
        }
    }

    @PostMapping("/api/bench/{siteId}")
    @Allowed(Role.OBSERVER)
    BenchState play(@PathVariable String siteId, @RequestBody BenchRequest request) {
        sites.mustExist(siteId);
        return request.live().orElse(false)
                ? LiveBench.play(
                        request.plan(),
                        request.script(),
                        request.untilSeconds(),
                        request.shownSeconds().orElse(BenchRequest.USUAL_SHOWN_SECONDS))
                : SupplyBench.play(request.plan(), request.script(), request.untilSeconds());
    }

    /**
     * A program whose levels are all walked.
     *
     * @param plan with the program
     */
    record WalkRequest(Plan plan) {
        WalkRequest {
            Bounds.present("plan", plan);
        }
    }

    /** One level walked, and whether its output did as the level says. */
    record Walked(AutoBench.Row row, boolean asExpected) {}

    /** Walks a whole program once down and once up, all of it acting: a story to read, and a script to play. */
    @PostMapping("/api/bench/{siteId}/walk-through")
    @Allowed(Role.OBSERVER)
    LevelWalk walkThrough(@PathVariable String siteId, @RequestBody WalkRequest request) {
        sites.mustExist(siteId);
        return LevelWalk.of(request.plan());
    }

    /** Walks every level of a program up or down: its commissioning test. */
    @PostMapping("/api/bench/{siteId}/walk")
    @Allowed(Role.OBSERVER)
    List<Walked> walk(@PathVariable String siteId, @RequestBody WalkRequest request) {
        sites.mustExist(siteId);
        return AutoBench.walk(request.plan()).stream()
                .map(row -> new Walked(row, row.asExpected()))
                .toList();
    }
}
