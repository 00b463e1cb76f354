package sparen.app.transfer;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.account.Accounts;
import sparen.app.plan.PlanService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.transfer.Transfer.Stage;
import sparen.app.transfer.Transfer.TransferContent;
import sparen.app.web.Refusal;
import sparen.app.wire.Connection;
import sparen.app.wire.Connections;
import sparen.app.wire.Connections.Connected;
import sparen.app.wire.LineProblem;
import sparen.device.FittedDevice;
import sparen.quantity.Bounds;

/** Devices over a wire: where they are, what they measure, what goes into them. */
@RestController
class TransferController {
    private final Transfers transfers;
    private final Sender sender;
    private final Connections connections;
    private final PlanService plans;
    private final SiteService sites;
    private final Accounts accounts;

    TransferController(
            Transfers transfers,
            Sender sender,
            Connections connections,
            PlanService plans,
            SiteService sites,
            Accounts accounts) {
        this.transfers = transfers;
        this.sender = sender;
        this.connections = connections;
        this.plans = plans;
        this.sites = sites;
        this.accounts = accounts;
    }

    /**
     * A transfer.
     *
     * @param device id of the device
     * @param running whether it is being written right now
     * @param problem what stopped it; absent while nothing has
     * @param ended whether nothing of it is left to do
     */
    record TransferView(
            UUID id,
            String device,
            int revision,
            Instant begunAt,
            Stage stage,
            boolean rollsBack,
            boolean running,
            boolean ended,
            int written,
            Optional<String> problem,
            TransferContent content) {}

    /**
     * A device with a wire.
     *
     * @param connection where it answers; absent while nobody has said
     * @param transfer the latest; absent before the first
     */
    record WiredDevice(String device, Optional<Connected> connection, Optional<TransferView> transfer) {}

    /** An id made by who asks: asked twice it is done once. */
    record Begin(UUID id) {
        Begin {
            Bounds.present("id", id);
        }
    }

    /**
     * What somebody reads off the device's own display and a meter.
     *
     * @param shown by the places that were asked for
     * @param meterVolts at the battery's terminals (V); absent where the device tells no voltage
     */
    record DisplayReadings(Map<String, String> shown, Optional<Double> meterVolts) {
        DisplayReadings {
            Bounds.present("shown", shown);
            meterVolts = Bounds.orEmpty(meterVolts);
        }
    }

    /**
     * To write.
     *
     * @param password of the device, 0 to 65535; absent where it wants none. It is not kept
     */
    record WriteOrder(Optional<Integer> password) {
        WriteOrder {
            password = Bounds.orEmpty(password);
            password.ifPresent(number -> Bounds.within("password", number, "", 0, 65_535));
        }
    }

    /**
     * Where a device is to be found from now on.
     *
     * @param host numeric address, in a network that is allowed
     * @param port 1 to 65535, commonly 502
     * @param unit number of the device behind that address, 0 to 255
     * @param readEveryHours so often its menu is read again by itself (h), 1 to 168; absent for never
     */
    record NewConnection(String host, int port, int unit, Optional<Integer> readEveryHours) {
        NewConnection {
            readEveryHours = Bounds.orEmpty(readEveryHours);
            readEveryHours.ifPresent(hours -> Bounds.within("readEveryHours", hours, "h", 1, 168));
        }
    }

    /** The devices of a site that have a wire. */
    @GetMapping("/api/sites/{siteId}/wires")
    @Allowed(Role.OBSERVER)
    List<WiredDevice> wires(@PathVariable String siteId) {
        sites.mustExist(siteId);
        Map<String, Connected> connected = connections.of(siteId);
        List<Transfer> latest = transfers.latest(siteId);
        return plans.latest(siteId).stream()
                .flatMap(loaded -> loaded.plan().program().devices().stream())
                .filter(device -> device.profile().wire().isPresent())
                .map(FittedDevice::id)
                .map(device -> new WiredDevice(
                        device,
                        Optional.ofNullable(connected.get(device)),
                        latest.stream()
                                .filter(one -> one.device().equals(device))
                                .findFirst()
                                .map(this::view)))
                .toList();
    }

    /** Says where a device is connected. */
    @PutMapping("/api/sites/{siteId}/devices/{device}/connection")
    @Allowed(value = Role.TECHNICIAN, bySession = true)
    List<WiredDevice> connect(
            @PathVariable String siteId,
            @PathVariable String device,
            @RequestBody NewConnection wanted,
            Authentication who) {
        sites.mustExist(siteId);
        accounts.mustWriteToDevices(who.getName());
        if (wires(siteId).stream().noneMatch(one -> one.device().equals(device))) {
            throw Refusal.notFound("A device \"" + device + "\" with a wire in the newest revision");
        }
        Connection connection = new Connection(wanted.host(), wanted.port(), wanted.unit());
        connections.put(siteId, device, connection, wanted.readEveryHours(), who.getName());
        return wires(siteId);
    }

    /** Takes the connection of a device away. */
    @DeleteMapping("/api/sites/{siteId}/devices/{device}/connection")
    @Allowed(value = Role.TECHNICIAN, bySession = true)
    List<WiredDevice> disconnect(@PathVariable String siteId, @PathVariable String device, Authentication who) {
        sites.mustExist(siteId);
        accounts.mustWriteToDevices(who.getName());
        connections.remove(siteId, device);
        return wires(siteId);
    }

    /** Reads a device and works out what has to be written to it; nothing is. */
    @PostMapping("/api/sites/{siteId}/devices/{device}/transfers")
    @Allowed(value = Role.TECHNICIAN, bySession = true)
    @ResponseStatus(HttpStatus.CREATED)
    TransferView prepare(
            @PathVariable String siteId, @PathVariable String device, @RequestBody Begin begin, Authentication who) {
        sites.mustExist(siteId);
        accounts.mustWriteToDevices(who.getName());
        return view(LineProblem.asked(() -> transfers.prepare(siteId, device, begin.id(), who.getName())));
    }

    /** How far a transfer to or from a device is. */
    @GetMapping("/api/sites/{siteId}/transfers/{transfer}")
    @Allowed(Role.OBSERVER)
    TransferView transfer(@PathVariable String siteId, @PathVariable UUID transfer) {
        sites.mustExist(siteId);
        return view(transfers.find(siteId, transfer));
    }

    /** Holds display and meter against the wire; before that nothing can be written. */
    @PostMapping("/api/sites/{siteId}/transfers/{transfer}/display")
    @Allowed(value = Role.TECHNICIAN, bySession = true)
    TransferView compare(
            @PathVariable String siteId,
            @PathVariable UUID transfer,
            @RequestBody DisplayReadings compared,
            Authentication who) {
        Transfer one = writable(siteId, transfer, who);
        return view(LineProblem.asked(() -> transfers.check(one, compared.shown(), compared.meterVolts())));
    }

    /** Writes, saves, reads back and compares; or goes on with that. It is under way when this answers. */
    @PostMapping("/api/sites/{siteId}/transfers/{transfer}/sending")
    @Allowed(value = Role.TECHNICIAN, bySession = true)
    @ResponseStatus(HttpStatus.ACCEPTED)
    TransferView send(
            @PathVariable String siteId, @PathVariable UUID transfer, @RequestBody WriteOrder go, Authentication who) {
        sender.send(writable(siteId, transfer, who), false, go.password(), who.getName());
        return transfer(siteId, transfer);
    }

    /** Puts back what stood there before. It is under way when this answers. */
    @PostMapping("/api/sites/{siteId}/transfers/{transfer}/rolling-back")
    @Allowed(value = Role.TECHNICIAN, bySession = true)
    @ResponseStatus(HttpStatus.ACCEPTED)
    TransferView rollBack(
            @PathVariable String siteId, @PathVariable UUID transfer, @RequestBody WriteOrder go, Authentication who) {
        sender.send(writable(siteId, transfer, who), true, go.password(), who.getName());
        return transfer(siteId, transfer);
    }

    /** Leaves a transfer of which nothing was written. */
    @PostMapping("/api/sites/{siteId}/transfers/{transfer}/leaving")
    @Allowed(value = Role.TECHNICIAN, bySession = true)
    TransferView leave(@PathVariable String siteId, @PathVariable UUID transfer, Authentication who) {
        return view(transfers.leave(writable(siteId, transfer, who)));
    }

    private Transfer writable(String siteId, UUID transfer, Authentication who) {
        sites.mustExist(siteId);
        accounts.mustWriteToDevices(who.getName());
        return transfers.find(siteId, transfer);
    }

    private TransferView view(Transfer transfer) {
        return new TransferView(
                transfer.id(),
                transfer.device(),
                transfer.revision(),
                transfer.begunAt(),
                transfer.stage(),
                transfer.rollsBack(),
                transfers.isRunning(transfer),
                !transfer.isOpen(),
                transfer.written(),
                Optional.ofNullable(transfer.problem()),
                transfer.content());
    }
}
