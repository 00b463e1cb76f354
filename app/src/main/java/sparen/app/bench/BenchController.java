package sparen.app.bench;

import java.util.List;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.bench.BenchState;
import sparen.bench.LevelWalk;
import sparen.question.BenchRequest;
import sparen.question.WalkRequest;
import sparen.question.Walked;

/** Plays a program on the bench. */
@RestController
class BenchController {
    private final SiteService sites;

    BenchController(SiteService sites) {
        this.sites = sites;
    }

    /** Turns the bench supply by a script and says what switches, when and why. */
    @PostMapping("/api/bench/{siteId}")
    @Allowed(Role.OBSERVER)
    BenchState play(@PathVariable String siteId, @RequestBody BenchRequest request) {
        sites.mustExist(siteId);
        return request.play();
    }

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
        return Walked.of(request.plan());
    }
}
