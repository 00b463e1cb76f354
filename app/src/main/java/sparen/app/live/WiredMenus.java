package sparen.app.live;

import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import sparen.app.handover.DeviceReadings;
import sparen.app.plan.PlanService;
import sparen.app.web.Refusal;
import sparen.app.wire.Connections;
import sparen.app.wire.DeviceOnWire;
import sparen.app.wire.Line;
import sparen.app.wire.LineProblem;
import sparen.quantity.InvalidQuantity;

/** What stands in the menus of devices, read over their wires as somebody would off their displays. */
@Service
public class WiredMenus {
    private final Connections connections;
    private final DeviceReadings readings;
    private final PlanService plans;

    WiredMenus(Connections connections, DeviceReadings readings, PlanService plans) {
        this.connections = connections;
        this.readings = readings;
        this.plans = plans;
    }

    /**
     * Reads a device and keeps that.
     *
     * @param id of the reading, made by who asks
     * @throws Refusal when what comes cannot stand there: the registers are not this device's
     */
    void read(String siteId, String device, UUID id, String account) throws LineProblem {
        DeviceOnWire wired = DeviceOnWire.of(
                plans.latest(siteId)
                        .orElseThrow(() -> Refusal.notFound("A plan of the site"))
                        .plan(),
                device);
        try (Line line = connections.openToRead(siteId, device)) {
            keep(wired, siteId, id, wired.read(line, wired.entries()), account);
        }
    }

    /**
     * Keeps what stands in a device.
     *
     * @throws Refusal when that cannot stand there
     */
    public void keep(DeviceOnWire wired, String siteId, UUID id, Map<String, String> holds, String account) {
        possible(() -> readings.keep(siteId, wired.device().id(), id, holds, account));
    }

    /** The same of what nobody has asked for: kept only where it is another than before. */
    void keepIfOther(DeviceOnWire wired, String siteId, Map<String, String> holds, String account) {
        possible(() -> readings.keepIfOther(siteId, wired.device().id(), holds, account));
    }

    private static void possible(Runnable keeping) {
        try {
            keeping.run();
        } catch (InvalidQuantity impossible) {
            throw new Refusal(
                    HttpStatus.FAILED_DEPENDENCY,
                    "wrong-registers",
                    "What the wire gives cannot be: " + impossible.getMessage().replaceFirst("^values\\.\\S+: ", "")
                            + ". The registers of the profile may not be this device's. Nothing is kept.",
                    Map.of());
        }
    }
}
