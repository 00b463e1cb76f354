package sparen.app.season;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.quantity.Bounds;
import sparen.question.SeasonAnswer;
import sparen.question.SeasonRequest;
import sparen.sun.Climate;

/** Runs a plan while it is edited and answers with what the small tape shows. Nothing of it is kept. */
@RestController
class SeasonController {
    private final Runs runs;
    private final SiteService sites;

    SeasonController(Runs runs, SiteService sites) {
        this.runs = runs;
        this.sites = sites;
    }

    /** The months of a place as its latitude suggests them, to be told better by who knows. */
    @GetMapping("/api/season/{siteId}/climate")
    @Allowed(Role.OBSERVER)
    Climate climate(@PathVariable String siteId, @RequestParam double latitude) {
        sites.mustExist(siteId);
        Bounds.within("latitude", latitude, "°", -90, 90);
        return Climate.atLatitude(latitude);
    }

    /** Runs a plan over some days at once and draws its tape. */
    @PostMapping("/api/season/{siteId}")
    @Allowed(Role.OBSERVER)
    SeasonAnswer run(@PathVariable String siteId, @RequestBody SeasonRequest request) {
        sites.mustExist(siteId);
        return SeasonAnswer.of(runs.scenario(siteId, request.run()), request.window());
    }
}
