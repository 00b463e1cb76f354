package sparen.app.handover;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.plan.PlanService;
import sparen.app.site.SiteContent;
import sparen.app.web.Refusal;
import sparen.app.web.WhenMade;
import sparen.device.FittedDevice;
import sparen.handover.DeviceComparison;
import sparen.handover.DeviceReading;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What was read off the devices of sites. */
@Service
public class DeviceReadings implements SiteContent {
    private static final int MOST_READINGS = 2000;

    private final ReadingMapper mapper;
    private final PlanService plans;
    private final AuditLog audit;
    private final ApplicationEventPublisher events;
    private final TransactionTemplate transaction;
    private final JsonMapper json;
    private final WhenMade made;

    DeviceReadings(
            ReadingMapper mapper,
            PlanService plans,
            AuditLog audit,
            ApplicationEventPublisher events,
            TransactionTemplate transaction,
            JsonMapper json,
            WhenMade made) {
        this.mapper = mapper;
        this.plans = plans;
        this.audit = audit;
        this.events = events;
        this.transaction = transaction;
        this.json = json;
        this.made = made;
    }

    /** All readings of a site by device, the oldest first. */
    Map<String, List<DeviceReading>> of(String siteId) {
        return mapper.of(siteId).stream()
                .collect(Collectors.groupingBy(
                        ReadingMapper.Row::device, Collectors.mapping(this::reading, Collectors.toList())));
    }

    private DeviceReading reading(ReadingMapper.Row row) {
        return new DeviceReading(row.readAt(), row.readBy(), json.readValue(row.entries(), new TypeReference<>() {}));
    }

    /** Ids of the devices of a plan that hold what nobody planned. */
    public List<String> drifted(String siteId, Plan plan) {
        Map<String, List<DeviceReading>> readings = plan.program().devices().isEmpty() ? Map.of() : of(siteId);
        return plan.program().devices().stream()
                .filter(device ->
                        DeviceComparison.isDrifted(plan, device, readings.getOrDefault(device.id(), List.of())))
                .map(FittedDevice::id)
                .toList();
    }

    @Override
    public void mustBeReadable(String siteId) {
        of(siteId);
    }

    /**
     * Keeps what somebody has read off a device.
     *
     * @param id of the reading, made by who asks: asked twice it is kept once
     * @param said what stands at some of its entries, by their places
     * @throws Refusal when the newest plan of the site has no such device
     * @throws sparen.quantity.InvalidQuantity when that cannot stand there; nothing is kept then
     */
    public void keep(String siteId, String device, UUID id, Map<String, String> said, String account) {
        keep(siteId, device, id, said, account, true);
    }

    /**
     * Keeps what a device was found to hold when nobody had asked, unless the reading before has just that.
     *
     * @throws sparen.quantity.InvalidQuantity when that cannot stand there; nothing is kept then
     */
    public void keepIfOther(String siteId, String device, Map<String, String> said, String account) {
        keep(siteId, device, UUID.randomUUID(), said, account, false);
    }

    private void keep(String siteId, String device, UUID id, Map<String, String> said, String account, boolean always) {
        PlanService.Loaded latest = plans.latest(siteId).orElseThrow(() -> Refusal.notFound("A plan of the site"));
        FittedDevice fitted = latest.plan().program().devices().stream()
                .filter(one -> one.id().equals(device))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("A device \"" + device + "\" in the newest revision"));
        Map<String, DeviceReading.ReadValue> values = DeviceComparison.taken(latest.plan(), fitted, said);
        List<DeviceReading> before = always ? List.of() : of(siteId).getOrDefault(device, List.of());
        if (!before.isEmpty() && before.get(before.size() - 1).values().equals(values)) {
            return;
        }
        Bounds.within("readings", mapper.count(siteId, device) + 1, "readings", 1, MOST_READINGS);
        ReadingMapper.Row row = new ReadingMapper.Row(
                id, device, made.instant(), account, latest.revision().number(), json.writeValueAsString(values));
        transaction.executeWithoutResult(status -> {
            if (mapper.add(siteId, row) == 1) {
                audit.note(
                        Deed.DEVICE_READ,
                        account,
                        siteId,
                        fitted.name() + ", " + values.size() + " entries" + (always ? "" : ", by itself"));
            }
        });
        events.publishEvent(new DeviceRead(siteId));
    }
}
