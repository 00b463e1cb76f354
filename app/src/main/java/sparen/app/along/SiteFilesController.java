package sparen.app.along;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.profile.ProfileService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.weather.WeatherFiles;
import sparen.question.SiteFiles;

/** What was measured for sites, for the core in a browser that was taken to where there is no network. */
@RestController
class SiteFilesController {
    private final SiteService sites;
    private final ProfileService profiles;
    private final WeatherFiles weather;

    SiteFilesController(SiteService sites, ProfileService profiles, WeatherFiles weather) {
        this.sites = sites;
        this.profiles = profiles;
        this.weather = weather;
    }

    /** All consumption profiles and weather files of a site with their samples. */
    @GetMapping("/api/sites/{siteId}/files")
    @Allowed(Role.OBSERVER)
    SiteFiles files(@PathVariable String siteId) {
        sites.mustExist(siteId);
        return new SiteFiles(profiles.all(siteId), weather.all(siteId));
    }
}
