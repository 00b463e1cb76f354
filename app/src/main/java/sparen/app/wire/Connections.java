package sparen.app.wire;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import sparen.app.account.DeviceNetworks;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.web.Refusal;

/** Where the devices of sites answer. */
@Service
public class Connections {
    private final ConnectionMapper mapper;
    private final DeviceNetworks networks;
    private final AuditLog audit;
    private final Clock clock;

    Connections(ConnectionMapper mapper, DeviceNetworks networks, AuditLog audit, Clock clock) {
        this.mapper = mapper;
        this.networks = networks;
        this.audit = audit;
        this.clock = clock;
    }

    /** Those of a site, by device. */
    public Map<String, Connection> of(String siteId) {
        Map<String, Connection> connections = new LinkedHashMap<>();
        mapper.of(siteId)
                .forEach(row -> connections.put(row.device(), new Connection(row.host(), row.port(), row.unit())));
        return connections;
    }

    /**
     * Opens the line to a device.
     *
     * @throws Refusal when it is connected to nothing
     * @throws sparen.quantity.InvalidQuantity when its address is allowed no longer
     * @throws LineProblem when nobody answers there
     */
    public Line open(String siteId, String device) throws LineProblem {
        Connection connection = find(siteId, device);
        networks.check("host", connection.host());
        return Line.open(connection);
    }

    /** Where a device answers. */
    public Connection find(String siteId, String device) {
        return Optional.ofNullable(of(siteId).get(device))
                .orElseThrow(() -> Refusal.notFound("A connection of the device \"" + device + "\""));
    }

    /** Connects a device, or connects it elsewhere. */
    @Transactional
    public void put(String siteId, String device, Connection connection, String account) {
        networks.check("host", connection.host());
        mustBeFree(siteId, device);
        mapper.put(
                siteId,
                new ConnectionMapper.Row(device, connection.host(), connection.port(), connection.unit()),
                account,
                clock.instant());
        audit.note(Deed.DEVICE_CONNECTED, account, siteId, device + " at " + connection.address());
    }

    @Transactional
    public void remove(String siteId, String device) {
        mustBeFree(siteId, device);
        if (mapper.remove(siteId, device) == 1) {
            audit.note(Deed.DEVICE_DISCONNECTED, siteId, device);
        }
    }

    private void mustBeFree(String siteId, String device) {
        if (mapper.isBeingWritten(siteId, device)) {
            throw new Refusal(
                    HttpStatus.CONFLICT,
                    "being-written",
                    "Something is being written to this device, or it was left half written. Send it on or roll it back first.",
                    Map.of());
        }
    }
}
