package sparen.app.transfer;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.live.WiredMenus;
import sparen.app.plan.PlanService;
import sparen.app.transfer.Transfer.AskedEntry;
import sparen.app.transfer.Transfer.EntryChange;
import sparen.app.transfer.Transfer.Stage;
import sparen.app.transfer.Transfer.TransferContent;
import sparen.app.web.Refusal;
import sparen.app.wire.Connections;
import sparen.app.wire.DeviceOnWire;
import sparen.app.wire.Line;
import sparen.app.wire.LineProblem;
import sparen.device.LiveRegister.What;
import sparen.handover.DisplayCheck;
import sparen.handover.LoadsAtRisk;
import sparen.handover.WiredEntry;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import tools.jackson.databind.json.JsonMapper;

/** What is to be written to devices: worked out, looked at, kept. The writing itself is {@link Sender}'s. */
@Service
class Transfers {
    private final TransferMapper mapper;
    private final Connections connections;
    private final WiredMenus menus;
    private final PlanService plans;
    private final AuditLog audit;
    private final JsonMapper json;
    private final Clock clock;

    Transfers(
            TransferMapper mapper,
            Connections connections,
            WiredMenus menus,
            PlanService plans,
            AuditLog audit,
            JsonMapper json,
            Clock clock) {
        this.mapper = mapper;
        this.connections = connections;
        this.menus = menus;
        this.plans = plans;
        this.audit = audit;
        this.json = json;
        this.clock = clock;
    }

    Transfer find(String siteId, UUID id) {
        return mapper.find(siteId, id).map(this::transfer).orElseThrow(() -> Refusal.notFound("This transfer"));
    }

    /** Whether a revision is the newest of its site. */
    boolean isNewest(Transfer transfer) {
        return plans.newest(transfer.siteId()).equals(Optional.of(transfer.revision()));
    }

    /** Of each device the latest. */
    List<Transfer> latest(String siteId) {
        return mapper.latest(siteId).stream().map(this::transfer).toList();
    }

    boolean isRunning(Transfer transfer) {
        return transfer.isOpen() && mapper.isRunning(transfer.id());
    }

    private Transfer transfer(TransferMapper.Row row) {
        return new Transfer(
                row.id(),
                row.siteId(),
                row.device(),
                row.revision(),
                row.begunBy(),
                row.begunAt(),
                row.stage(),
                row.rollsBack(),
                row.written(),
                row.problem(),
                json.readValue(row.content(), TransferContent.class),
                row.endedAt());
    }

    /** The device of a transfer as the plan had it that the transfer comes from. */
    DeviceOnWire device(Transfer transfer) {
        return DeviceOnWire.of(
                plans.revision(transfer.siteId(), transfer.revision()).plan(), transfer.device());
    }

    private PlanService.Loaded latestPlan(String siteId) {
        return plans.latest(siteId).orElseThrow(() -> Refusal.notFound("A plan of the site"));
    }

    /**
     * Reads a device and works out what has to be written so that it holds the newest plan. Nothing is written.
     *
     * @param id of the transfer, made by who asks: asked twice it is prepared once
     * @throws Refusal when it holds the plan already, or another transfer is open
     */
    Transfer prepare(String siteId, String device, UUID id, String account) throws LineProblem {
        Optional<TransferMapper.Row> before = mapper.find(siteId, id);
        if (before.isPresent()) {
            return transfer(before.get());
        }
        PlanService.Loaded latest = latestPlan(siteId);
        DeviceOnWire wired = DeviceOnWire.of(latest.plan(), device);
        Map<String, String> holds;
        DeviceOnWire.Measured measured;
        try (Line line = connections.openToRead(siteId, device)) {
            holds = wired.read(line, wired.entries());
            measured = wired.measure(line);
        }
        menus.keep(wired, siteId, id, holds, account);
        List<WiredEntry> toWrite = WiredEntry.toWrite(wired.entries(), holds);
        if (toWrite.isEmpty()) {
            throw new Refusal(
                    HttpStatus.CONFLICT,
                    "as-planned",
                    "The device holds what is planned already: there is nothing to write.",
                    Map.of());
        }
        toWrite.forEach(one -> one.raw(one.setting().enter()));
        TransferContent content = new TransferContent(
                toWrite.stream().map(one -> change(one, holds)).toList(),
                wired.device().profile().dropping(),
                LoadsAtRisk.whileSaving(latest.plan(), wired.device()),
                LoadsAtRisk.after(latest.plan(), toWrite, measured.numbers()),
                DisplayCheck.asked(wired.entries(), holds).stream()
                        .map(one -> new AskedEntry(
                                one.place(),
                                one.setting().at(),
                                one.setting().label(),
                                one.setting().unit()))
                        .toList(),
                measured.numbers().containsKey(What.BATTERY_VOLTS),
                wired.wire().unlock().isPresent());
        try {
            mapper.insert(new TransferMapper.Row(
                    id,
                    siteId,
                    device,
                    latest.revision().number(),
                    account,
                    clock.instant().truncatedTo(ChronoUnit.MILLIS),
                    Stage.PREPARED,
                    false,
                    0,
                    null,
                    json.writeValueAsString(content),
                    null));
        } catch (DuplicateKeyException open) {
            throw new Refusal(
                    HttpStatus.CONFLICT,
                    "open-transfer",
                    "Another transfer to this device is open. Send it on, roll it back or leave it first.",
                    Map.of());
        }
        audit.note(
                Deed.TRANSFER_PREPARED,
                siteId,
                wired.device().name() + ", revision " + latest.revision().number() + ", " + toWrite.size()
                        + " entries");
        return find(siteId, id);
    }

    private static EntryChange change(WiredEntry one, Map<String, String> holds) {
        return new EntryChange(
                one.place(),
                one.setting().at(),
                one.setting().label(),
                one.setting().unit(),
                holds.get(one.place()),
                one.setting().enter());
    }

    /**
     * Holds what somebody reads off the display and a meter against what the wire gives now.
     *
     * @param shown by the places that were asked for
     * @param meterVolts at the battery's terminals (V); absent where the device tells no voltage
     * @throws InvalidQuantity when one is missing or does not agree; nothing can be written then
     */
    Transfer check(Transfer transfer, Map<String, String> shown, Optional<Double> meterVolts) throws LineProblem {
        mustBe(transfer, transfer.isOpen() && !transfer.hasBegun());
        // What agreed before counts no longer.
        mustBe(transfer, mapper.look(transfer.id(), Stage.PREPARED) == 1);
        DeviceOnWire wired = device(transfer);
        try (Line line = connections.openToRead(transfer.siteId(), transfer.device())) {
            List<WiredEntry> asked = wired.entries().stream()
                    .filter(one -> transfer.content().asked().stream()
                            .anyMatch(each -> each.place().equals(one.place())))
                    .toList();
            Map<String, String> holds = wired.read(line, asked);
            for (WiredEntry one : asked) {
                String field = "shown." + one.place();
                DisplayCheck.check(field, one, holds.get(one.place()), Bounds.present(field, shown.get(one.place())));
            }
            if (transfer.content().asksVolts()) {
                double volts = wired.measure(line).numbers().get(What.BATTERY_VOLTS);
                DisplayCheck.checkVolts("meterVolts", volts, Bounds.present("meterVolts", meterVolts.orElse(null)));
            }
        }
        mustBe(transfer, mapper.look(transfer.id(), Stage.CHECKED) == 1);
        audit.note(
                Deed.DISPLAY_COMPARED,
                transfer.siteId(),
                wired.device().name() + ", display and wire agree"
                        + meterVolts
                                .map(volts -> ", meter " + Bounds.number(volts) + " V")
                                .orElse(""));
        return find(transfer.siteId(), transfer.id());
    }

    /** Ends a transfer of which nothing was written. */
    Transfer leave(Transfer transfer) {
        mustBe(transfer, transfer.isOpen() && !transfer.hasBegun());
        mustBe(transfer, mapper.leave(transfer.id(), clock.instant()) == 1);
        audit.note(Deed.TRANSFER_LEFT, transfer.siteId(), transfer.device());
        return find(transfer.siteId(), transfer.id());
    }

    /** Refuses what a transfer is not at. */
    static void mustBe(Transfer transfer, boolean is) {
        if (!is) {
            throw new Refusal(
                    HttpStatus.CONFLICT,
                    "not-now",
                    "That cannot be done with a transfer that is "
                            + transfer.stage().name().toLowerCase(Locale.ROOT).replace('_', ' ') + ".",
                    Map.of());
        }
    }
}
