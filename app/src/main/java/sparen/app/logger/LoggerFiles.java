package sparen.app.logger;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.file.FileLayouts;
import sparen.app.site.SiteContent;
import sparen.app.web.Packed;
import sparen.app.web.Refusal;
import sparen.format.LoggerFile;
import sparen.format.LoggerReader;
import sparen.quantity.Bounds;
import sparen.table.FileKind;
import sparen.table.Meaning;

/** Reads, keeps and joins the files of loggers. */
@Service
public class LoggerFiles implements SiteContent {
    private static final int MOST_FILES = 200;
    private static final int MOST_KEPT = 8;

    private final LoggerFileMapper mapper;
    private final FileLayouts layouts;
    private final Clock clock;
    private final AuditLog audit;
    private final TransactionTemplate transaction;
    /** What was joined last: a page asks for it several times. By site and the files it has. */
    private final Cache<String, LoggerFile> joined = Caffeine.newBuilder()
            .maximumSize(MOST_KEPT)
            .expireAfterAccess(Duration.ofMinutes(10))
            .build();

    LoggerFiles(
            LoggerFileMapper mapper,
            FileLayouts layouts,
            Clock clock,
            AuditLog audit,
            TransactionTemplate transaction) {
        this.mapper = mapper;
        this.layouts = layouts;
        this.clock = clock;
        this.audit = audit;
        this.transaction = transaction;
    }

    /** The files of a site. */
    public List<LoggerFileMapper.About> list(String siteId) {
        return mapper.list(siteId);
    }

    /**
     * Takes a file in, whole or not at all.
     *
     * @throws Refusal when a line is bad
     */
    public LoggerFileMapper.About take(
            String siteId, String name, FileLayouts.LaidOut laid, ZoneId zone, String account) {
        LoggerReader.Reading reading = LoggerReader.read(laid.text(), laid.layout(), zone);
        LoggerFile log = reading.log()
                .orElseThrow(() -> FileLayouts.refused("bad-logger-file", reading.badLines(), reading.badLineCount()));
        Bounds.within("files", mapper.list(siteId).size(), "files of the site", 0, MOST_FILES - 1.0);
        List<Meaning> meanings = List.copyOf(log.columns().keySet());
        List<String> contacts = List.copyOf(log.contacts().keySet());
        LoggerFileMapper.About about = new LoggerFileMapper.About(
                Packed.id("l-", laid.text() + "\n" + zone + "\n" + laid.layout()),
                name,
                log.from(),
                log.to(),
                log.lines(),
                String.join(",", meanings.stream().map(Enum::name).toList()),
                String.join(",", contacts),
                String.join("\n", log.notes()),
                clock.instant());
        List<double[]> samples = new ArrayList<>();
        samples.add(log.seconds());
        samples.addAll(log.columns().values());
        samples.addAll(log.contacts().values());
        byte[] packed = Packed.pack(samples.toArray(double[][]::new));
        transaction.executeWithoutResult(status -> {
            if (mapper.insert(siteId, about, packed, account) == 1) {
                audit.note(Deed.LOGGER_FILE_TAKEN_IN, siteId, name);
            }
            layouts.remember(siteId, FileKind.LOGGER, laid, account);
        });
        return about;
    }

    /** Takes a file away. */
    void remove(String siteId, String id) {
        transaction.executeWithoutResult(status -> {
            if (mapper.remove(siteId, id) == 0) {
                throw Refusal.notFound("The logger's file " + id);
            }
            audit.note(Deed.LOGGER_FILE_REMOVED, siteId, id);
        });
    }

    @Override
    public void mustBeReadable(String siteId) {
        unpacked(siteId);
    }

    /** All that was recorded at a site as one; absent where nothing was. */
    Optional<LoggerFile> joined(String siteId) {
        String files = siteId + " "
                + String.join(
                        " ",
                        mapper.list(siteId).stream()
                                .map(LoggerFileMapper.About::id)
                                .toList());
        return Optional.ofNullable(joined.get(files, key -> {
            List<LoggerFile> all = unpacked(siteId);
            return all.isEmpty() ? null : LoggerFile.join(all);
        }));
    }

    private List<LoggerFile> unpacked(String siteId) {
        return mapper.samples(siteId).stream().map(LoggerFiles::unpack).toList();
    }

    private static LoggerFile unpack(LoggerFileMapper.Samples stored) {
        List<String> meanings = names(stored.columns());
        List<String> contacts = names(stored.contacts());
        double[][] samples = Packed.unpack(stored.samples(), 1 + meanings.size() + contacts.size());
        Map<Meaning, double[]> columns = new EnumMap<>(Meaning.class);
        Map<String, double[]> closed = new LinkedHashMap<>();
        for (int i = 0; i < meanings.size(); i++) {
            columns.put(Meaning.valueOf(meanings.get(i)), samples[1 + i]);
        }
        for (int i = 0; i < contacts.size(); i++) {
            closed.put(contacts.get(i), samples[1 + meanings.size() + i]);
        }
        return new LoggerFile(
                samples[0], columns, closed, stored.notes().lines().toList());
    }

    private static List<String> names(String joined) {
        return joined.isEmpty() ? List.of() : List.of(joined.split(","));
    }
}
