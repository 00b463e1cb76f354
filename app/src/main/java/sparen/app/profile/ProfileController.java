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
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.format.Profile;
import sparen.format.ProfileReader;
import sparen.quantity.Bounds;

/** Consumption profiles: a look at a file before it is taken, and taking it. */
@RestController
class ProfileController {
    private static final int SKETCH_POINTS = 240;
    private static final String CSV = "text/csv";

    private final ProfileService profiles;
    private final SiteService sites;

    ProfileController(ProfileService profiles, SiteService sites) {
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

    /**
     * What a file holds.
     *
     * @param found absent when lines are bad
     */
    record ProfilePreview(
            int lines,
            boolean kilowatts,
            String separator,
            Optional<ProfileFound> found,
            List<ProfileReader.BadLine> badLines,
            int badLineCount) {}

    /**
     * What a good file holds.
     *
     * @param sketchWatts the highest power of each of up to 240 equal parts of its span (W)
     */
    record ProfileFound(
            Optional<Instant> startsAt,
            double spanSeconds,
            double meanWatts,
            double highestWatts,
            double[] sketchWatts) {}

    @GetMapping("/api/sites/{siteId}/profiles")
    @Allowed(Role.OBSERVER)
    List<ProfileAbout> list(@PathVariable String siteId) {
        sites.mustExist(siteId);
        return profiles.list(siteId).stream().map(ProfileAbout::of).toList();
    }

    @PostMapping(path = "/api/reading/{siteId}/profile", consumes = CSV)
    @Allowed(Role.OBSERVER)
    ProfilePreview preview(@PathVariable String siteId, @RequestParam ZoneId zone, @RequestBody String text) {
        sites.mustExist(siteId);
        ProfileReader.Reading reading = ProfileReader.read(text, zone);
        return new ProfilePreview(
                reading.lines(),
                reading.kilowatts(),
                reading.separator(),
                reading.profile().map(ProfileController::found),
                reading.badLines(),
                reading.badLineCount());
    }

    @PostMapping(path = "/api/sites/{siteId}/profiles", consumes = CSV)
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    ProfileAbout take(
            @PathVariable String siteId,
            @RequestParam String name,
            @RequestParam ZoneId zone,
            @RequestBody String text,
            Authentication authentication) {
        sites.mustExist(siteId);
        Bounds.name("name", name);
        return ProfileAbout.of(profiles.take(siteId, name, text, zone, authentication.getName()));
    }

    private static ProfileFound found(Profile profile) {
        return new ProfileFound(
                profile.start(), profile.spanSeconds(), profile.meanWatts(), profile.highestWatts(), sketch(profile));
    }

    private static double[] sketch(Profile profile) {
        int points = Math.min(SKETCH_POINTS, profile.seconds().length);
        double[] highest = new double[points];
        for (int i = 0; i < profile.seconds().length; i++) {
            int point = (int) Math.min(points - 1.0, profile.seconds()[i] / profile.spanSeconds() * points);
            highest[point] = Math.max(highest[point], profile.watts()[i]);
        }
        return highest;
    }
}
