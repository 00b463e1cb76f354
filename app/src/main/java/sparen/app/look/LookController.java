package sparen.app.look;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.file.FileLayouts;
import sparen.app.plan.PlanService;
import sparen.app.plan.UnreadablePlan;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.format.DailyReader;
import sparen.format.LoggerReader;
import sparen.format.ProfileReader;
import sparen.format.WeatherReader;
import sparen.quantity.Bounds;
import sparen.site.Location;
import sparen.table.BadLine;
import sparen.table.ColumnUnit;
import sparen.table.Detection;
import sparen.table.FileKind;
import sparen.table.Layout;
import sparen.table.Meaning;

/** A look at a file before it is taken: how it seems to be laid out, what is in it, and what cannot be read. */
@RestController
class LookController {
    private static final int ROWS_SHOWN = 5;
    private static final double FAR_KILOMETRES = 50;
    private static final double EARTH_KILOMETRES = 6371;

    private final FileLayouts layouts;
    private final SiteService sites;
    private final PlanService plans;

    LookController(FileLayouts layouts, SiteService sites, PlanService plans) {
        this.plans = plans;
        this.layouts = layouts;
        this.sites = sites;
    }

    /**
     * What a file looks like.
     *
     * @param layout it is read by
     * @param remembered whether that is how the last file with these headings was read
     * @param headings above its columns, as far as there are any
     * @param rows the first of its data, parted by the layout
     * @param notes what could be otherwise
     * @param found absent when lines are bad
     */
    record FileLook(
            Layout layout,
            boolean remembered,
            List<String> headings,
            List<List<String>> rows,
            List<String> notes,
            Optional<FileFound> found,
            List<BadLine> badLines,
            int badLineCount) {}

    private record Outcome(Optional<FileFound> found, List<BadLine> bad, int count) {}

    /**
     * Looks at a file; nothing is taken.
     *
     * @param kind what it is taken for
     * @param zone of times without an offset, where the layout has no other
     * @param layout in JSON, where it is laid out otherwise than found
     * @param file in UTF-8, UTF-16 or Latin-1, at most 64 MB
     */
    @PostMapping(path = "/api/reading/{siteId}/file", consumes = "text/csv")
    @Allowed(Role.OBSERVER)
    FileLook look(
            @PathVariable String siteId,
            @RequestParam FileKind kind,
            @RequestParam ZoneId zone,
            @RequestParam Optional<String> layout,
            @RequestBody byte[] file) {
        sites.mustExist(siteId);
        FileLayouts.LaidOut laid = layouts.of(siteId, kind, file, layout);
        Outcome outcome = read(kind, laid, zone);
        return new FileLook(
                laid.layout(),
                laid.remembered(),
                laid.found().headings(),
                Detection.firstRows(laid.text(), laid.layout(), ROWS_SHOWN),
                notes(siteId, laid),
                outcome.found(),
                outcome.bad(),
                outcome.count());
    }

    private static Outcome read(FileKind kind, FileLayouts.LaidOut file, ZoneId zone) {
        return switch (kind) {
            case WEATHER -> {
                WeatherReader.Reading read = WeatherReader.read(file.text(), file.layout(), zone);
                yield new Outcome(read.weather().map(FileFound::of), read.badLines(), read.badLineCount());
            }
            case CONSUMPTION -> {
                ProfileReader.Reading read = ProfileReader.read(file.text(), file.layout(), zone);
                yield new Outcome(read.profile().map(FileFound::of), read.badLines(), read.badLineCount());
            }
            case LOGGER -> {
                LoggerReader.Reading read = LoggerReader.read(file.text(), file.layout(), zone);
                yield new Outcome(read.log().map(FileFound::of), read.badLines(), read.badLineCount());
            }
            case DAILY -> {
                DailyReader.Reading read = DailyReader.read(file.text(), file.layout(), zone);
                yield new Outcome(
                        read.days().isEmpty() ? Optional.empty() : Optional.of(FileFound.of(read.days(), zone)),
                        read.badLines(),
                        read.badLineCount());
            }
        };
    }

    /**
     * A meaning that a column can have.
     *
     * @param words what a person reads
     * @param needed whether such a file must hold it
     * @param units it can be in
     */
    record MeaningOffered(Meaning meaning, String words, boolean needed, List<UnitOffered> units) {}

    /** A unit, and how it is written. */
    record UnitOffered(ColumnUnit unit, String symbol) {}

    /** What columns of a kind of file can be. */
    @GetMapping("/api/file-columns")
    @Allowed(Role.OBSERVER)
    List<MeaningOffered> columns(@RequestParam FileKind kind) {
        return Arrays.stream(Meaning.values())
                .filter(one -> kind.needed().contains(one) || kind.more().contains(one))
                .map(one -> new MeaningOffered(
                        one,
                        one.words(),
                        kind.needed().contains(one),
                        ColumnUnit.of(one.dimension()).stream()
                                .map(unit -> new UnitOffered(unit, unit.symbol()))
                                .toList()))
                .toList();
    }

    /** What is to be looked at before it is taken: what could be otherwise, and whether it is from elsewhere. */
    private List<String> notes(String siteId, FileLayouts.LaidOut file) {
        List<String> notes =
                new ArrayList<>(file.remembered() ? List.of() : file.found().notes());
        file.found().place().ifPresent(place -> location(siteId).ifPresent(site -> {
            double away = kilometres(place, site);
            if (away > FAR_KILOMETRES) {
                notes.add("the file is of a place " + Math.round(away) + " km from the site: "
                        + Bounds.number(place.latitudeDegrees()) + "°, " + Bounds.number(place.longitudeDegrees())
                        + "°");
            }
        }));
        return notes;
    }

    private Optional<Location> location(String siteId) {
        try {
            return plans.latest(siteId).map(loaded -> loaded.plan().site().location());
        } catch (UnreadablePlan unreadable) {
            return Optional.empty();
        }
    }

    /** Along a great circle, by haversines; R. W. Sinnott, Sky & Telescope 68 (1984) 159, from memory. */
    private static double kilometres(Detection.Place one, Location other) {
        double north = Math.toRadians(other.latitudeDegrees() - one.latitudeDegrees()) / 2;
        double east = Math.toRadians(other.longitudeDegrees() - one.longitudeDegrees()) / 2;
        double half = Math.pow(Math.sin(north), 2)
                + Math.cos(Math.toRadians(one.latitudeDegrees()))
                        * Math.cos(Math.toRadians(other.latitudeDegrees()))
                        * Math.pow(Math.sin(east), 2);
        return 2 * EARTH_KILOMETRES * Math.asin(Math.min(1, Math.sqrt(half)));
    }
}
