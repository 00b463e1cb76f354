package sparen.app.profile;

import java.time.Clock;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.file.FileLayouts;
import sparen.app.site.SiteContent;
import sparen.app.web.Packed;
import sparen.app.web.Refusal;
import sparen.format.Profile;
import sparen.format.ProfileReader;
import sparen.program.Plan;
import sparen.table.FileKind;

/** Reads, keeps and hands out consumption profiles. */
@Service
public class ProfileService implements SiteContent {
    private final ProfileMapper mapper;
    private final Clock clock;
    private final AuditLog audit;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;
    private final FileLayouts layouts;

    ProfileService(
            ProfileMapper mapper,
            Clock clock,
            AuditLog audit,
            TransactionTemplate transaction,
            ApplicationEventPublisher events,
            FileLayouts layouts) {
        this.layouts = layouts;
        this.events = events;
        this.audit = audit;
        this.transaction = transaction;
        this.mapper = mapper;
        this.clock = clock;
    }

    /** The profiles that a plan's loads name, as far as the site has them. */
    public Map<String, Profile> namedIn(String siteId, Plan plan) {
        Map<String, Profile> profiles = new HashMap<>();
        for (String profile : plan.site().profiles()) {
            mapper.find(siteId, profile).ifPresent(stored -> profiles.put(profile, unpack(stored)));
        }
        return profiles;
    }

    private static Profile unpack(ProfileMapper.Samples stored) {
        double[][] columns = Packed.unpack(stored.samples(), 2);
        return new Profile(Optional.ofNullable(stored.startsAt()), columns[0], columns[1], stored.spanSeconds());
    }

    List<ProfileMapper.About> list(String siteId) {
        return mapper.list(siteId);
    }

    /**
     * Takes a file in.
     *
     * @throws Refusal when a line is bad; nothing is taken then
     */
    ProfileMapper.About take(String siteId, String name, FileLayouts.LaidOut laid, ZoneId zone, String account) {
        ProfileReader.Reading reading = ProfileReader.read(laid.text(), laid.layout(), zone);
        Profile profile = reading.profile()
                .orElseThrow(() -> FileLayouts.refused("bad-profile", reading.badLines(), reading.badLineCount()));
        ProfileMapper.About about = new ProfileMapper.About(
                Packed.id("p-", laid.text() + "\n" + zone + "\n" + laid.layout()),
                name,
                profile.start().orElse(null),
                reading.lines(),
                profile.spanSeconds(),
                profile.meanWatts(),
                profile.highestWatts(),
                clock.instant());
        transaction.executeWithoutResult(status -> {
            mapper.insert(siteId, about, Packed.pack(profile.seconds(), profile.watts()), account);
            layouts.remember(siteId, FileKind.CONSUMPTION, laid, account);
            audit.note(Deed.PROFILE_TAKEN_IN, siteId, name);
        });
        events.publishEvent(new ProfileTaken(siteId));
        return about;
    }

    /** All profiles of a site by their ids. */
    public Map<String, Profile> all(String siteId) {
        Map<String, Profile> profiles = new LinkedHashMap<>();
        mapper.list(siteId).forEach(one -> mapper.find(siteId, one.id())
                .ifPresent(stored -> profiles.put(one.id(), unpack(stored))));
        return profiles;
    }

    @Override
    public void mustBeReadable(String siteId) {
        all(siteId);
    }

    /** Gives one site the profiles of another. */
    public void copy(String from, String to) {
        mapper.copy(from, to);
        events.publishEvent(new ProfileTaken(to));
    }
}
