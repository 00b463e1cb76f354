package sparen.app.handover;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.plan.PlanService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.device.FittedDevice;
import sparen.handover.CabinetCard;
import sparen.handover.DeviceComparison;
import sparen.handover.DeviceHeld;
import sparen.handover.DeviceReading;
import sparen.handover.SettingsSheet;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.setting.DeviceSettings;

/** What is in the devices, beside what the newest revision wants there. */
@RestController
class HandoverController {
    private final DeviceReadings readings;
    private final PlanService plans;
    private final SiteService sites;

    HandoverController(DeviceReadings readings, PlanService plans, SiteService sites) {
        this.readings = readings;
        this.plans = plans;
        this.sites = sites;
    }

    /**
     * The devices of a site.
     *
     * @param revision what is planned: the newest
     */
    record Handover(int revision, List<DeviceHeld> devices) {}

    /**
     * What somebody has read off a device.
     *
     * @param id made by who asks: asked twice it is kept once
     * @param values what stands there as the device has it, by the places of entries; what was not looked at is left out
     */
    record NewReading(UUID id, Map<String, String> values) {
        NewReading {
            Bounds.present("id", id);
            Bounds.present("values", values);
        }
    }

    /** What each device is to hold by the newest revision, and what was last read from it. */
    @GetMapping("/api/sites/{siteId}/handover")
    @Allowed(Role.OBSERVER)
    Handover handover(@PathVariable String siteId) {
        PlanService.Loaded latest = latest(siteId);
        Map<String, List<DeviceReading>> all = readings.of(siteId);
        return new Handover(
                latest.revision().number(),
                latest.plan().program().devices().stream()
                        .map(device -> held(latest.plan(), device, all.getOrDefault(device.id(), List.of())))
                        .toList());
    }

    private static DeviceHeld held(Plan plan, FittedDevice device, List<DeviceReading> readings) {
        return DeviceHeld.of(plan, device, readings, DigestUtils.sha256Hex(SettingsSheet.entered(plan, device)));
    }

    /**
     * What hangs on the cabinet.
     *
     * @param revision of which it tells: the newest
     * @param savedAt when that was saved
     */
    record Card(String site, int revision, Instant savedAt, CabinetCard card) {}

    /** The card for who lives with the site: what goes dead at which number, and what comes back by itself. */
    @GetMapping("/api/sites/{siteId}/card")
    @Allowed(Role.OBSERVER)
    Card card(@PathVariable String siteId) {
        PlanService.Loaded latest = latest(siteId);
        return new Card(
                latest.plan().site().name(),
                latest.revision().number(),
                latest.revision().savedAt(),
                CabinetCard.of(latest.plan()));
    }

    private PlanService.Loaded latest(String siteId) {
        sites.mustExist(siteId);
        return plans.latest(siteId).orElseThrow(() -> Refusal.notFound("A plan of the site"));
    }

    /** Keeps what was read off a device; refused whole where one entry cannot be. */
    @PostMapping("/api/sites/{siteId}/devices/{device}/readings")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    Handover keep(
            @PathVariable String siteId,
            @PathVariable String device,
            @RequestBody NewReading reading,
            Authentication who) {
        sites.mustExist(siteId);
        readings.keep(siteId, device, reading.id(), reading.values(), who.getName());
        return handover(siteId);
    }

    /**
     * A plan with what a device holds in place of what was planned for it, as far as it was read: not saved, for somebody to look at.
     *
     * @param plan as it is being edited
     */
    @PostMapping("/api/sites/{siteId}/devices/{device}/taking-over")
    @Allowed(Role.OBSERVER)
    Plan takenOver(@PathVariable String siteId, @PathVariable String device, @RequestBody Plan plan) {
        sites.mustExist(siteId);
        FittedDevice fitted = plan.program().devices().stream()
                .filter(one -> one.id().equals(device))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("A device \"" + device + "\" in the plan"));
        Map<String, String> holds = new HashMap<>();
        DeviceComparison.of(plan, fitted, readings.of(siteId).getOrDefault(device, List.of()))
                .forEach(entry -> entry.read().ifPresent(read -> holds.put(entry.place(), read)));
        return DeviceSettings.asRead(plan, fitted, holds);
    }

    /** All readings of a device, the newest first. */
    @GetMapping("/api/sites/{siteId}/devices/{device}/readings")
    @Allowed(Role.OBSERVER)
    List<DeviceReading> readings(@PathVariable String siteId, @PathVariable String device) {
        sites.mustExist(siteId);
        return readings.of(siteId).getOrDefault(device, List.of()).stream()
                .sorted(Comparator.comparing(DeviceReading::at).reversed())
                .toList();
    }
}
