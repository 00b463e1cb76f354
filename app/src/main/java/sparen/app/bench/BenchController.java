package sparen.app.bench;

import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.site.SiteService;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.simulation.BenchScript;
import sparen.simulation.BenchState;
import sparen.simulation.SupplyBench;

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
     */
    record BenchRequest(Plan plan, BenchScript script, double untilSeconds) {
        BenchRequest {
            Bounds.present("plan", plan);
            Bounds.present("script", script);
            Bounds.within("untilSeconds", untilSeconds, "s", 0, BenchScript.MOST_SECONDS);
        }
    }

    @PostMapping("/api/bench/{siteId}")
    BenchState play(@PathVariable String siteId, @RequestBody BenchRequest request) {
        sites.mustExist(siteId);
        return SupplyBench.play(request.plan(), request.script(), request.untilSeconds());
    }
}
