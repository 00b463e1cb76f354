package sparen.app.wire;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
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

    /**
     * Where a device answers, and how it is kept an eye on.
     *
     * @param readEveryHours so often its menu is read again by itself (h), 1 to 168; absent for never
     * @param silentSince since when it does not answer; absent while it does
     * @param silentWhy why; absent likewise
     */
    public record Connected(
            Connection at,
            Optional<Integer> readEveryHours,
            Optional<Instant> silentSince,
            Optional<String> silentWhy) {}

    /** Those of a site, by device. */
    public Map<String, Connected> of(String siteId) {
        Map<String, Connected> connections = new LinkedHashMap<>();
        mapper.of(siteId)
                .forEach(row -> connections.put(
                        row.device(),
                        new Connected(
                                new Connection(row.host(), row.port(), row.unit()),
                                Optional.ofNullable(row.readEveryHours()),
                                Optional.ofNullable(row.silentSince()),
                                Optional.ofNullable(row.silentWhy()))));
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

    /**
     * The same for whoever only reads: a tool that asks in between may make a device falter that somebody writes to.
     *
     * @throws Refusal when somebody is writing at its address
     */
    public Line openToRead(String siteId, String device) throws LineProblem {
        Connection connection = find(siteId, device);
        if (mapper.isLeased(connection.address())) {
            throw beingWritten(connection);
        }
        return open(siteId, device);
    }

    /** That somebody is writing at an address. */
    public static Refusal beingWritten(Connection connection) {
        return new Refusal(
                HttpStatus.CONFLICT,
                "being-written",
                "Somebody is writing at " + connection.address() + " right now.",
                Map.of());
    }

    /** Where a device answers. */
    public Connection find(String siteId, String device) {
        return Optional.ofNullable(of(siteId).get(device))
                .map(Connected::at)
                .orElseThrow(() -> Refusal.notFound("A connection of the device \"" + device + "\""));
    }

    /**
     * Connects a device, or connects it elsewhere.
     *
     * @param readEveryHours so often its menu is read again by itself (h); absent for never
     */
    @Transactional
    public void put(
            String siteId, String device, Connection connection, Optional<Integer> readEveryHours, String account) {
        networks.check("host", connection.host());
        mustBeFree(siteId, device);
        mapper.put(siteId, device, connection, readEveryHours.orElse(null), account, clock.instant());
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

    /**
     * A device whose time to be asked has come.
     *
     * @param setBy account that connected it
     * @param readsMenu whether its menu is to be read again too
     */
    public record Due(String siteId, String device, String setBy, boolean readsMenu) {}

    /** Takes devices that are to be asked now; no node takes them again while they are under way. */
    public List<Due> takeDue(int most) {
        return mapper.takeDue(most);
    }

    /** That a device answered; it is asked again so long after it was taken. */
    public void answered(Due due, Duration again) {
        mapper.answered(due.siteId(), due.device(), seconds(again));
    }

    /** That its menu was read. */
    public void menuRead(Due due) {
        mapper.menuRead(due.siteId(), due.device());
    }

    /** That a device did not answer, and why; it is asked ever more seldom. */
    public void silent(Due due, String why, Duration again) {
        mapper.silent(due.siteId(), due.device(), why, seconds(again));
    }

    private static double seconds(Duration duration) {
        return duration.toMillis() / 1000.0;
    }
}
