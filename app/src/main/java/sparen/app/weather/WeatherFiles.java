package sparen.app.weather;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.web.Packed;
import sparen.app.web.Refusal;
import sparen.format.WeatherFile;
import sparen.format.WeatherReader;

/** Reads, keeps and hands out weather files. */
@Service
public class WeatherFiles {
    private static final int COLUMNS = 3;

    private final WeatherFileMapper mapper;
    private final Clock clock;
    private final AuditLog audit;
    private final TransactionTemplate transaction;

    WeatherFiles(WeatherFileMapper mapper, Clock clock, AuditLog audit, TransactionTemplate transaction) {
        this.audit = audit;
        this.transaction = transaction;
        this.mapper = mapper;
        this.clock = clock;
    }

    /**
     * A file of a site.
     *
     * @throws Refusal when the site has none by that id
     */
    public WeatherFile file(String siteId, String id) {
        WeatherFileMapper.Samples stored =
                mapper.find(siteId, id).orElseThrow(() -> Refusal.notFound("The weather file " + id));
        double[][] columns = Packed.unpack(stored.samples(), COLUMNS);
        return new WeatherFile(
                stored.firstStep(),
                stored.stepSeconds(),
                columns[0],
                columns[1],
                columns[2],
                stored.notes().lines().toList());
    }

    List<WeatherFileMapper.About> list(String siteId) {
        return mapper.list(siteId);
    }

    /**
     * Takes a file in.
     *
     * @throws Refusal when a line is bad; nothing is taken then
     */
    WeatherFileMapper.About take(String siteId, String name, String text, ZoneId zone, String account) {
        WeatherReader.Reading reading = read(text, zone);
        WeatherFile file = reading.weather()
                .orElseThrow(() -> new Refusal(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "bad-weather-file",
                        reading.badLineCount() + " lines cannot be read. Nothing was taken.",
                        Map.of("badLines", reading.badLines(), "badLineCount", reading.badLineCount())));
        WeatherFileMapper.About about = new WeatherFileMapper.About(
                Packed.id("w-", text + "\n" + zone),
                name,
                file.first(),
                file.stepSeconds(),
                file.steps(),
                String.join("\n", file.notes()),
                clock.instant());
        transaction.executeWithoutResult(status -> {
            mapper.insert(siteId, about, Packed.pack(file.globalWatts(), file.diffuseWatts(), file.celsius()), account);
            audit.note(Deed.WEATHER_TAKEN_IN, siteId, name);
        });
        return about;
    }

    private static WeatherReader.Reading read(String text, ZoneId zone) {
        try {
            return WeatherReader.read(new StringReader(text), zone);
        } catch (IOException impossible) {
            throw new UncheckedIOException("reading from memory", impossible);
        }
    }
}
