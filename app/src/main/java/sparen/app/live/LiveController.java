package sparen.app.live;

import java.time.Clock;
import java.time.Duration;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.live.Measurements.MeasuredNow;
import sparen.app.live.Measurements.Measurement;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.wire.LineProblem;
import sparen.handover.ShouldBe;
import sparen.handover.UnplannedDraw;
import sparen.program.Plan;
import sparen.quantity.Bounds;

/** What devices on the wire hold and measure. */
@RestController
class LiveController {
    private static final int MOST_HOURS = 20_000;

    private final Measurements measurements;
    private final WiredMenus menus;
    private final SiteService sites;
    private final Clock clock;

    LiveController(Measurements measurements, WiredMenus menus, SiteService sites, Clock clock) {
        this.measurements = measurements;
        this.menus = menus;
        this.sites = sites;
        this.clock = clock;
    }

    /** A reading to be made; its id is made by who asks: asked twice it is kept once. */
    record ReadOrder(UUID id) {
        ReadOrder {
            Bounds.present("id", id);
        }
    }

    /**
     * What a device measures, beside what the newest revision makes of it.
     *
     * @param shouldBeClosed whether a contact should be closed at these numbers, by the id of its output; one that may be either is left
     *     out
     * @param beyond what is drawn beyond what the plan has at this hour; absent where nothing is
     */
    record LiveNow(Measurement measured, Map<String, Boolean> shouldBeClosed, Optional<UnplannedDraw> beyond) {}

    /** Reads all that lies on a device's wire, and keeps it as a reading. */
    @PostMapping("/api/sites/{siteId}/devices/{device}/connection/readings")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void read(
            @PathVariable String siteId,
            @PathVariable String device,
            @RequestBody ReadOrder order,
            Authentication who) {
        sites.mustExist(siteId);
        LineProblem.asked(() -> {
            menus.read(siteId, device, order.id(), who.getName());
            return null;
        });
    }

    /** What a device measures right now. */
    @GetMapping("/api/sites/{siteId}/devices/{device}/live")
    @Allowed(Role.OBSERVER)
    LiveNow live(@PathVariable String siteId, @PathVariable String device) {
        sites.mustExist(siteId);
        Measurement measured = LineProblem.asked(() -> measurements.now(siteId, device));
        Plan plan = measurements.device(siteId, device).plan();
        ZonedDateTime at = measured.at().atZone(plan.site().location().zone());
        return new LiveNow(
                measured,
                ShouldBe.of(plan, measured.numbers(), at),
                UnplannedDraw.of(plan, measured.numbers(), measured.closed(), at));
    }

    /** What the devices of a site measured within the last minute, as far as they were asked. */
    @GetMapping("/api/sites/{siteId}/now")
    @Allowed(Role.OBSERVER)
    MeasuredNow now(@PathVariable String siteId) {
        sites.mustExist(siteId);
        return measurements.latest(siteId);
    }

    /**
     * What a device measured, the oldest first: every ten seconds in the last hour, the lowest and highest of each minute in the last day,
     * of each quarter of an hour in the last month, of each quarter of a day before that.
     *
     * @param hours how far back, 1 to 20,000
     */
    @GetMapping("/api/sites/{siteId}/devices/{device}/measurements")
    @Allowed(Role.OBSERVER)
    List<Measurement> measurements(
            @PathVariable String siteId, @PathVariable String device, @RequestParam(defaultValue = "24") int hours) {
        sites.mustExist(siteId);
        Bounds.within("hours", hours, "h", 1, MOST_HOURS);
        return measurements.since(siteId, device, clock.instant().minus(Duration.ofHours(hours)));
    }
}
