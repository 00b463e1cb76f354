package sparen.app.file;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import sparen.app.site.SiteContent;
import sparen.app.web.Refusal;
import sparen.document.DocumentProblem;
import sparen.document.Documents;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.table.BadLine;
import sparen.table.Detection;
import sparen.table.Encoding;
import sparen.table.FileKind;
import sparen.table.Layout;

/** How a file is laid out: as somebody says, as the last of the kind with the same headings was, or as it is found out. */
@Service
public class FileLayouts implements SiteContent {
    /** The most bytes of a file: some 2 million lines. */
    public static final int MOST_BYTES = 64_000_000;

    private final FileLayoutMapper mapper;
    private final Clock clock;

    FileLayouts(FileLayoutMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /**
     * A file with how it is laid out.
     *
     * @param text of it
     * @param layout of it
     * @param found what was found out by itself
     * @param remembered whether the layout is that of the last file with these headings
     */
    public record LaidOut(String text, Layout layout, Detection found, boolean remembered) {}

    /**
     * Lays a file out.
     *
     * @param bytes of it, in any of the usual encodings
     * @param said in JSON, by who looks at it; absent for as it was or as found
     */
    public LaidOut of(String siteId, FileKind kind, byte[] bytes, Optional<String> said) {
        Bounds.within("file", bytes.length, "bytes", 1, MOST_BYTES);
        String text = Encoding.text(bytes);
        Detection found = Detection.of(text, kind);
        if (said.isPresent()) {
            return new LaidOut(text, read(said.get()), found, false);
        }
        Optional<Layout> before = mapper.find(siteId, kind.name())
                .filter(row -> !row.headings().isEmpty() && row.headings().equals(headings(found)))
                .map(row -> read(row.layout())
                        .withSkippedLines(found.layout().skippedLines())
                        .withFooterLines(found.layout().footerLines()));
        return new LaidOut(text, before.orElse(found.layout()), found, before.isPresent());
    }

    private static Layout read(String json) {
        try {
            return Documents.readAny(json, Layout.class);
        } catch (DocumentProblem wrong) {
            throw new InvalidQuantity("layout" + wrong.pointer().replace('/', '.'), wrong.getMessage());
        }
    }

    private static String headings(Detection found) {
        return String.join("\n", found.headings());
    }

    /** Remembers how a file that was taken is laid out, for the next one with the same headings. */
    public void remember(String siteId, FileKind kind, LaidOut file, String account) {
        mapper.keep(
                siteId,
                kind.name(),
                new FileLayoutMapper.Row(headings(file.found()), Documents.writeAny(file.layout())),
                account,
                clock.instant());
    }

    @Override
    public void mustBeReadable(String siteId) {
        for (FileKind kind : FileKind.values()) {
            mapper.find(siteId, kind.name()).ifPresent(row -> read(row.layout()));
        }
    }

    /** Nothing of a file was taken. */
    public static Refusal refused(String kind, List<BadLine> bad, int count) {
        return new Refusal(
                HttpStatus.UNPROCESSABLE_CONTENT,
                kind,
                count + (count == 1 ? " line" : " lines") + " cannot be read. Nothing was taken.",
                Map.of("badLines", bad, "badLineCount", count));
    }
}
