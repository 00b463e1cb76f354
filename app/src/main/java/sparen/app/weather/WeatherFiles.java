package sparen.app.weather;

import java.time.Clock;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.file.FileLayouts;
import sparen.app.site.SiteContent;
import sparen.app.web.Packed;
import sparen.app.web.Refusal;
import sparen.format.WeatherFile;
import sparen.format.WeatherReader;
import sparen.table.FileKind;

/** Reads, keeps and hands out weather files. */
@Service
public class WeatherFiles implements SiteContent {
    private static final int COLUMNS = 3;

    private final WeatherFileMapper mapper;
    private final Clock clock;
    private final AuditLog audit;
    private final TransactionTemplate transaction;
    private final FileLayouts layouts;

    WeatherFiles(
            WeatherFileMapper mapper,
            Clock clock,
            AuditLog audit,
            TransactionTemplate transaction,
            FileLayouts layouts) {
        this.layouts = layouts;
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

    /** All files of a site by their ids. */
    public Map<String, WeatherFile> all(String siteId) {
        Map<String, WeatherFile> files = new LinkedHashMap<>();
        list(siteId).forEach(one -> files.put(one.id(), file(siteId, one.id())));
        return files;
    }

    @Override
    public void mustBeReadable(String siteId) {
        all(siteId);
    }

    List<WeatherFileMapper.About> list(String siteId) {
        return mapper.list(siteId);
    }

    /**
     * Takes a file in.
     *
     * @throws Refusal when a line is bad; nothing is taken then
     */
    WeatherFileMapper.About take(String siteId, String name, FileLayouts.LaidOut laid, ZoneId zone, String account) {
        WeatherReader.Reading reading = WeatherReader.read(laid.text(), laid.layout(), zone);
        WeatherFile file = reading.weather()
                .orElseThrow(() -> FileLayouts.refused("bad-weather-file", reading.badLines(), reading.badLineCount()));
        WeatherFileMapper.About about = new WeatherFileMapper.About(
                Packed.id("w-", laid.text() + "\n" + zone + "\n" + laid.layout()),
                name,
                file.first(),
                file.stepSeconds(),
                file.steps(),
                String.join("\n", file.notes()),
                clock.instant());
        transaction.executeWithoutResult(status -> {
            mapper.insert(siteId, about, Packed.pack(file.globalWatts(), file.diffuseWatts(), file.celsius()), account);
            layouts.remember(siteId, FileKind.WEATHER, laid, account);
            audit.note(Deed.WEATHER_TAKEN_IN, siteId, name);
        });
        return about;
    }
}
