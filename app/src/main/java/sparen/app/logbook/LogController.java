package sparen.app.logbook;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.logbook.EntryKind;
import sparen.logbook.EntrySays;
import sparen.logbook.KindOffered;
import sparen.logbook.LogEntry;
import sparen.logbook.Upkeep;
import sparen.program.Origin;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;

/** The log of a site: what was measured and done, what that says, and what is due. */
@RestController
class LogController {
    private static final int MOST_AT_ONCE = 100;
    private static final int MOST_PICTURE_BYTES = 2_800_000;

    private final Logbook logbook;
    private final LogMapper mapper;
    private final SiteService sites;

    LogController(Logbook logbook, LogMapper mapper, SiteService sites) {
        this.logbook = logbook;
        this.mapper = mapper;
        this.sites = sites;
    }

    /**
     * An entry as it is kept.
     *
     * @param says what its numbers say
     * @param offsetVolts by what a device reads above a meter (V); absent for other entries
     * @param withdrawn whether somebody has said that it does not count
     * @param photos ids of its photos
     */
    record EntryKept(
            LogEntry entry,
            EntrySays says,
            Optional<Double> offsetVolts,
            String madeBy,
            Instant madeAt,
            boolean withdrawn,
            List<UUID> photos) {}

    /**
     * A part of the log, the newest first.
     *
     * @param more whether there are older ones
     * @param due what is to be done, the next first
     */
    record LogView(List<EntryKept> entries, boolean more, List<Upkeep> due) {}

    /** What can be written into the log of a site. */
    @GetMapping("/api/sites/{siteId}/log/kinds")
    @Allowed(Role.OBSERVER)
    List<KindOffered> kinds(@PathVariable String siteId) {
        return KindOffered.of(logbook.plan(siteId));
    }

    /**
     * The log, the newest first.
     *
     * @param before of what was done before this instant; absent for the newest
     */
    @GetMapping("/api/sites/{siteId}/log")
    @Allowed(Role.OBSERVER)
    LogView log(@PathVariable String siteId, @RequestParam Optional<Instant> before) {
        sites.mustExist(siteId);
        List<LogMapper.Row> rows = mapper.entries(siteId, before.orElse(Logbook.AFTER_ALL), MOST_AT_ONCE + 1);
        Map<UUID, List<UUID>> photos = mapper.photos(siteId).stream()
                .collect(Collectors.groupingBy(
                        LogMapper.PhotoRow::entry, Collectors.mapping(LogMapper.PhotoRow::id, Collectors.toList())));
        return new LogView(
                rows.stream()
                        .limit(MOST_AT_ONCE)
                        .map(row -> {
                            LogEntry entry = logbook.read(row);
                            return new EntryKept(
                                    entry,
                                    EntrySays.of(entry),
                                    EntrySays.offsetVolts(entry),
                                    row.madeBy(),
                                    row.madeAt(),
                                    row.withdrawnAt() != null,
                                    photos.getOrDefault(row.id(), List.of()));
                        })
                        .toList(),
                rows.size() > MOST_AT_ONCE,
                logbook.due(siteId));
    }

    /** Writes an entry into the log; sent twice it is kept once. */
    @PostMapping("/api/sites/{siteId}/log")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    LogView keep(@PathVariable String siteId, @RequestBody LogEntry entry, Authentication who) {
        logbook.keep(siteId, entry, who.getName());
        return log(siteId, Optional.empty());
    }

    /**
     * Takes an entry back, or puts it in again.
     *
     * @param withdrawn whether the entry counts for nothing any more
     */
    record Withdrawal(boolean withdrawn) {}

    /** Withdraws an entry, or puts it back; it stays to be seen. */
    @PutMapping("/api/sites/{siteId}/log/{entry}/withdrawn")
    @Allowed(Role.TECHNICIAN)
    LogView withdraw(
            @PathVariable String siteId,
            @PathVariable UUID entry,
            @RequestBody Withdrawal withdrawal,
            Authentication who) {
        sites.mustExist(siteId);
        logbook.setWithdrawn(siteId, entry, withdrawal.withdrawn(), who.getName());
        return log(siteId, Optional.empty());
    }

    /**
     * A photo of an entry.
     *
     * @param id made by who asks: asked twice it is kept once
     * @param picture JPEG or PNG, to 2.8 MB; what a camera writes beside it is not kept
     */
    record EntryPhoto(UUID id, byte[] picture) {
        EntryPhoto {
            Bounds.present("id", id);
            Bounds.present("picture", picture);
            Bounds.within("picture", picture.length, "bytes", 1, MOST_PICTURE_BYTES);
        }
    }

    /** Keeps a photo of an entry. */
    @PostMapping("/api/sites/{siteId}/log/{entry}/photos")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    LogView photo(
            @PathVariable String siteId, @PathVariable UUID entry, @RequestBody EntryPhoto photo, Authentication who) {
        sites.mustExist(siteId);
        logbook.addPhoto(siteId, entry, photo.id(), photo.picture(), who.getName());
        return log(siteId, Optional.empty());
    }

    /** The picture of a photo. */
    @GetMapping(value = "/api/sites/{siteId}/log-photos/{photo}", produces = MediaType.IMAGE_JPEG_VALUE)
    @Allowed(Role.OBSERVER)
    byte[] picture(@PathVariable String siteId, @PathVariable UUID photo) {
        sites.mustExist(siteId);
        return mapper.jpeg(siteId, photo)
                .orElseThrow(() -> Refusal.notFound("This photo"))
                .jpeg();
    }

    /**
     * How often something is due.
     *
     * @param everyDays how often (d): 0 for never, to 3660; absent for as usual
     */
    record Interval(Optional<Integer> everyDays) {
        Interval {
            everyDays = Bounds.orEmpty(everyDays);
        }
    }

    /** Says how often something is due. */
    @PutMapping("/api/sites/{siteId}/upkeep/{kind}")
    @Allowed(Role.TECHNICIAN)
    LogView interval(
            @PathVariable String siteId,
            @PathVariable EntryKind kind,
            @RequestBody Interval interval,
            Authentication who) {
        logbook.setInterval(siteId, kind, interval.everyDays(), who.getName());
        return log(siteId, Optional.empty());
    }

    /**
     * What a device was found to be off by, to be taken.
     *
     * @param plan as it is being edited
     * @param entry id of the entry
     */
    record Calibration(Plan plan, UUID entry) {
        Calibration {
            Bounds.present("plan", plan);
            Bounds.present("entry", entry);
        }
    }

    /** A plan in which a sense point is off by what was measured against a meter, with its origin: not saved, for somebody to look at. */
    @PostMapping("/api/reading/{siteId}/calibrated")
    @Allowed(Role.OBSERVER)
    Plan calibrated(@PathVariable String siteId, @RequestBody Calibration calibration) {
        sites.mustExist(siteId);
        LogEntry entry = logbook.entry(siteId, calibration.entry());
        double offset = EntrySays.offsetVolts(entry)
                .orElseThrow(() -> new InvalidQuantity("entry", "compares no device with a meter"));
        entry.mustFit(calibration.plan());
        String path = "site/sensePoints/" + entry.part().orElseThrow() + "/offsetVolts";
        Plan with = Fields.withAt(calibration.plan(), path, offset);
        Map<String, Origin> origins = new HashMap<>(with.origins());
        origins.put(
                path,
                new Origin(
                        Origin.Kind.MEASURED,
                        "against a meter on "
                                + entry.at()
                                        .atZone(with.site().location().zone())
                                        .toLocalDate()));
        return with.withOrigins(origins);
    }
}
