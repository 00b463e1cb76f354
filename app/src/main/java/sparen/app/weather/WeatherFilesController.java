package sparen.app.weather;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.file.FileLayouts;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.quantity.Bounds;
import sparen.table.FileKind;

/** Takes weather files in: EPW, or any table with times, light and temperature. */
@RestController
class WeatherFilesController {
    private final WeatherFiles files;
    private final SiteService sites;
    private final FileLayouts layouts;

    WeatherFilesController(WeatherFiles files, SiteService sites, FileLayouts layouts) {
        this.layouts = layouts;
        this.files = files;
        this.sites = sites;
    }

    /**
     * A weather file that the site has.
     *
     * @param first beginning of its first step
     * @param stepSeconds length of each (s)
     * @param notes what was taken how
     */
    record WeatherFileAbout(
            String id, String name, Instant first, int stepSeconds, int steps, List<String> notes, Instant importedAt) {
        static WeatherFileAbout of(WeatherFileMapper.About about) {
            return new WeatherFileAbout(
                    about.id(),
                    about.name(),
                    about.firstStep(),
                    about.stepSeconds(),
                    about.steps(),
                    about.notes().lines().toList(),
                    about.importedAt());
        }
    }

    /** The site's weather files. */
    @GetMapping("/api/sites/{siteId}/weather-files")
    @Allowed(Role.OBSERVER)
    List<WeatherFileAbout> list(@PathVariable String siteId) {
        sites.mustExist(siteId);
        return files.list(siteId).stream().map(WeatherFileAbout::of).toList();
    }

    /** Takes a file of weather in, whole or not at all; the same one twice is kept once. */
    @PostMapping(path = "/api/sites/{siteId}/weather-files", consumes = "text/csv")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    WeatherFileAbout take(
            @PathVariable String siteId,
            @RequestParam String name,
            @RequestParam ZoneId zone,
            @RequestParam Optional<String> layout,
            @RequestBody byte[] file,
            Authentication authentication) {
        sites.mustExist(siteId);
        Bounds.name("name", name);
        return WeatherFileAbout.of(files.take(
                siteId, name, layouts.of(siteId, FileKind.WEATHER, file, layout), zone, authentication.getName()));
    }
}
