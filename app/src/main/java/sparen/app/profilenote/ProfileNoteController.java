package sparen.app.profilenote;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.plan.PlanService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.device.Firmware;
import sparen.device.FittedDevice;
import sparen.quantity.Bounds;

/** Notes pinned to kinds of devices: a fault that was seen once is told at every site that has such a device. */
@RestController
class ProfileNoteController {
    private static final int LONGEST = 500;

    private final ProfileNoteMapper mapper;
    private final PlanService plans;
    private final SiteService sites;
    private final AuditLog audit;
    private final Clock clock;

    ProfileNoteController(ProfileNoteMapper mapper, PlanService plans, SiteService sites, AuditLog audit, Clock clock) {
        this.mapper = mapper;
        this.plans = plans;
        this.sites = sites;
        this.audit = audit;
        this.clock = clock;
    }

    /**
     * A note that holds for a device of a site.
     *
     * @param device id of the device
     * @param firmware from which it is so; absent for all
     */
    record ProfileNote(
            UUID id, String device, String text, Optional<String> firmware, String notedBy, Instant notedAt) {}

    /**
     * A note.
     *
     * @param id made by who asks: asked twice it is kept once
     * @param device of the site, whose kind it is about
     * @param text what was seen, to 500 characters
     * @param firmware from which it is so, such as 2.4; absent for all
     */
    record NewProfileNote(UUID id, String device, String text, Optional<String> firmware) {
        NewProfileNote {
            Bounds.present("id", id);
            Bounds.present("device", device);
            Bounds.present("text", text);
            Bounds.within("text", text.strip().length(), "characters", 1, LONGEST);
            firmware = Firmware.version("firmware", Bounds.orEmpty(firmware).filter(version -> !version.isBlank()));
        }
    }

    private List<FittedDevice> devices(String siteId) {
        sites.mustExist(siteId);
        return plans.latest(siteId)
                .map(loaded -> loaded.plan().program().devices())
                .orElse(List.of());
    }

    /** The notes that hold for the devices of a site; of a device whose firmware is not known all of its kind. */
    @GetMapping("/api/sites/{siteId}/profile-notes")
    @Allowed(Role.OBSERVER)
    List<ProfileNote> notes(@PathVariable String siteId) {
        List<ProfileNoteMapper.Row> all = mapper.all();
        return devices(siteId).stream()
                .flatMap(device -> all.stream()
                        .filter(note -> holds(note, device))
                        .map(note -> new ProfileNote(
                                note.id(),
                                device.id(),
                                note.text(),
                                Optional.ofNullable(note.firmware()),
                                note.notedBy(),
                                note.notedAt())))
                .toList();
    }

    private static boolean holds(ProfileNoteMapper.Row note, FittedDevice device) {
        return note.profile().equals(device.profile().id())
                && (note.firmware() == null
                        || device.firmware()
                                .filter(own -> Firmware.isBefore(own, note.firmware()))
                                .isEmpty());
    }

    /** Pins a note to the kind of a device. */
    @PostMapping("/api/sites/{siteId}/profile-notes")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    public List<ProfileNote> add(@PathVariable String siteId, @RequestBody NewProfileNote note, Authentication who) {
        FittedDevice device = devices(siteId).stream()
                .filter(one -> one.id().equals(note.device()))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("A device \"" + note.device() + "\" in the newest revision"));
        int added = mapper.add(new ProfileNoteMapper.Row(
                note.id(),
                device.profile().id(),
                note.text().strip(),
                note.firmware().orElse(null),
                who.getName(),
                clock.instant().truncatedTo(ChronoUnit.MILLIS)));
        if (added == 1) {
            audit.note(
                    Deed.PROFILE_NOTED,
                    siteId,
                    device.profile().name() + ": " + note.text().strip());
        }
        return notes(siteId);
    }

    /** Takes a note down, at all sites. */
    @DeleteMapping("/api/sites/{siteId}/profile-notes/{note}")
    @Allowed(Role.TECHNICIAN)
    @Transactional
    public List<ProfileNote> withdraw(@PathVariable String siteId, @PathVariable UUID note, Authentication who) {
        sites.mustExist(siteId);
        if (mapper.withdraw(note, who.getName(), clock.instant()) == 1) {
            audit.note(Deed.PROFILE_NOTE_WITHDRAWN, siteId, note.toString());
        }
        return notes(siteId);
    }
}
