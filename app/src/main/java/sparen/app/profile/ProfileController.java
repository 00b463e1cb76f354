package sparen.app.profile;

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

/** Consumption profiles of a site. */
@RestController
class ProfileController {
    private static final String CSV = "text/csv";

    private final ProfileService profiles;
    private final SiteService sites;
    private final FileLayouts layouts;

    ProfileController(ProfileService profiles, SiteService sites, FileLayouts layouts) {
        this.layouts = layouts;
        this.profiles = profiles;
        this.sites = sites;
    }

    /**
     * A profile that the site has.
     *
     * @param startsAt when its first line was; absent when it tells seconds
     * @param spanSeconds after which it repeats (s)
     */
    record ProfileAbout(
            String id,
            String name,
            Optional<Instant> startsAt,
            int lines,
            double spanSeconds,
            double meanWatts,
            double highestWatts,
            Instant importedAt) {
        static ProfileAbout of(ProfileMapper.About about) {
            return new ProfileAbout(
                    about.id(),
                    about.name(),
                    Optional.ofNullable(about.startsAt()),
                    about.lines(),
                    about.spanSeconds(),
                    about.meanWatts(),
                    about.highestWatts(),
                    about.importedAt());
        }
    }

    /** The site's consumption profiles. */
    @GetMapping("/api/sites/{siteId}/profiles")
    @Allowed(Role.OBSERVER)
    List<ProfileAbout> list(@PathVariable String siteId) {
        sites.mustExist(siteId);
        return profiles.list(siteId).stream().map(ProfileAbout::of).toList();
    }

    /** Takes a measured consumption in as a profile, whole or not at all; the same one twice is kept once. */
    @PostMapping(path = "/api/sites/{siteId}/profiles", consumes = CSV)
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    ProfileAbout take(
            @PathVariable String siteId,
            @RequestParam String name,
            @RequestParam ZoneId zone,
            @RequestParam Optional<String> layout,
            @RequestBody byte[] file,
            Authentication authentication) {
        sites.mustExist(siteId);
        Bounds.name("name", name);
        return ProfileAbout.of(profiles.take(
                siteId, name, layouts.of(siteId, FileKind.CONSUMPTION, file, layout), zone, authentication.getName()));
    }
}
