package sparen.app.profile;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import sparen.app.web.Refusal;
import sparen.format.Profile;
import sparen.format.ProfileReader;
import sparen.program.Plan;

/** Reads, keeps and hands out consumption profiles. */
@Service
public class ProfileService {
    private static final int ID_DIGITS = 16;

    private final ProfileMapper mapper;
    private final Clock clock;

    ProfileService(ProfileMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** The profiles that a plan's loads name, as far as the site has them. */
    public Map<String, Profile> namedIn(String siteId, Plan plan) {
        Map<String, Profile> profiles = new HashMap<>();
        for (String profile : plan.site().profiles()) {
            mapper.find(siteId, profile).ifPresent(stored -> profiles.put(profile, ProfileSamples.unpack(stored)));
        }
        return profiles;
    }

    List<ProfileMapper.About> list(String siteId) {
        return mapper.list(siteId);
    }

    /**
     * Takes a file in.
     *
     * @throws Refusal when a line is bad; nothing is taken then
     */
    ProfileMapper.About take(String siteId, String name, String text, ZoneId zone, String account) {
        ProfileReader.Reading reading = ProfileReader.read(text, zone);
        Profile profile = reading.profile()
                .orElseThrow(() -> new Refusal(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "bad-profile",
                        reading.badLineCount() + " lines cannot be read. Nothing was taken.",
                        Map.of("badLines", reading.badLines(), "badLineCount", reading.badLineCount())));
        ProfileMapper.About about = new ProfileMapper.About(
                id(text + "\n" + zone),
                name,
                profile.start().orElse(null),
                reading.lines(),
                profile.spanSeconds(),
                profile.meanWatts(),
                profile.highestWatts(),
                clock.instant());
        mapper.insert(siteId, about, ProfileSamples.pack(profile), account);
        return about;
    }

    /** The same file gets the same id, so taking it twice keeps it once. */
    private static String id(String content) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(content.getBytes(StandardCharsets.UTF_8));
            return "p-" + HexFormat.of().formatHex(digest).substring(0, ID_DIGITS);
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException("every Java has SHA-256", impossible);
        }
    }

    /** Gives one site the profiles of another. */
    public void copy(String from, String to) {
        mapper.copy(from, to);
    }
}
