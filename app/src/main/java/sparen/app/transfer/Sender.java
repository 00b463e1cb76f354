package sparen.app.transfer;

import jakarta.annotation.PreDestroy;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.handover.DeviceReadings;
import sparen.app.transfer.Transfer.EntryChange;
import sparen.app.transfer.Transfer.Stage;
import sparen.app.web.Refusal;
import sparen.app.wire.Connection;
import sparen.app.wire.Connections;
import sparen.app.wire.DeviceOnWire;
import sparen.app.wire.Line;
import sparen.app.wire.LineProblem;
import sparen.device.Wire;
import sparen.handover.WiredEntry;
import sparen.quantity.InvalidQuantity;

/**
 * Writes transfers into devices, saves, reads back and compares. Whatever it is cut off at, sent again it reads what stands there and
 * goes on from that: a device never stays half written without its transfer being open.
 */
@Service
class Sender {
    private static final Logger LOG = LoggerFactory.getLogger(Sender.class);
    private static final int AT_ONCE = 8;
    private static final Duration SAVES_WITHIN = Duration.ofSeconds(60);
    private static final int LOOKS_EVERY_MILLISECONDS = 200;

    private final TransferMapper mapper;
    private final Transfers transfers;
    private final Connections connections;
    private final DeviceReadings readings;
    private final AuditLog audit;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final ExecutorService threads = Executors.newFixedThreadPool(AT_ONCE);

    Sender(
            TransferMapper mapper,
            Transfers transfers,
            Connections connections,
            DeviceReadings readings,
            AuditLog audit,
            TransactionTemplate transaction,
            Clock clock) {
        this.mapper = mapper;
        this.transfers = transfers;
        this.connections = connections;
        this.readings = readings;
        this.audit = audit;
        this.transaction = transaction;
        this.clock = clock;
    }

    @PreDestroy
    void end() {
        threads.shutdownNow();
    }

    /**
     * Sends a transfer, or sends it on; or puts back what stood there.
     *
     * @param password of the device; absent where it wants none
     * @throws Refusal when it is not at that, or somebody writes at that address
     */
    void send(Transfer transfer, boolean back, Optional<Integer> password, String account) {
        Transfers.mustBe(
                transfer, transfer.isOpen() && (back ? transfer.hasBegun() : transfer.stage() != Stage.PREPARED));
        if (transfer.content().asksPassword() && password.isEmpty()) {
            throw new InvalidQuantity("password", "the device wants its password before anything is written");
        }
        DeviceOnWire wired = transfers.device(transfer);
        Connection connection = connections.find(transfer.siteId(), transfer.device());
        UUID holder = UUID.randomUUID();
        if (mapper.lease(connection.address(), transfer.id(), holder) == 0) {
            throw Connections.beingWritten(connection);
        }
        if (mapper.enter(transfer.id(), Stage.WRITING, back) == 0) {
            mapper.release(connection.address(), holder);
            throw new Refusal(HttpStatus.CONFLICT, "not-now", "This transfer has ended meanwhile.", Map.of());
        }
        Sending sending = new Sending(transfer, wired, connection, holder, back, password, account);
        threads.execute(() -> run(sending));
    }

    private void run(Sending sending) {
        Transfer transfer = sending.transfer;
        try (Line line = connections.open(transfer.siteId(), transfer.device())) {
            sending.go(line);
        } catch (LineProblem stopped) {
            mapper.stop(transfer.id(), stopped.getMessage());
            audit.note(
                    Deed.TRANSFER_STOPPED,
                    sending.account,
                    transfer.siteId(),
                    sending.wired.device().name() + ": " + stopped.getMessage());
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        } catch (InvalidQuantity refused) {
            mapper.stop(transfer.id(), refused.getMessage());
        } catch (RuntimeException failed) {
            LOG.error("a transfer to {} of {} failed", transfer.device(), transfer.siteId(), failed);
            mapper.stop(transfer.id(), "It failed here, not at the device. Send it on or roll it back.");
        } finally {
            mapper.release(sending.connection.address(), sending.holder);
        }
    }

    /** One go of one transfer. */
    private final class Sending {
        private final Transfer transfer;
        private final DeviceOnWire wired;
        private final Connection connection;
        private final UUID holder;
        private final boolean back;
        private final Optional<Integer> password;
        private final String account;
        private final List<WiredEntry> wanted;

        Sending(
                Transfer transfer,
                DeviceOnWire wired,
                Connection connection,
                UUID holder,
                boolean back,
                Optional<Integer> password,
                String account) {
            this.transfer = transfer;
            this.wired = wired;
            this.connection = connection;
            this.holder = holder;
            this.back = back;
            this.password = password;
            this.account = account;
            Map<String, EntryChange> changes =
                    transfer.content().changes().stream().collect(Collectors.toMap(EntryChange::place, one -> one));
            this.wanted = wired.entries().stream()
                    .filter(one -> changes.containsKey(one.place()))
                    .map(one -> one.wanting(
                            back
                                    ? changes.get(one.place()).holds()
                                    : changes.get(one.place()).planned()))
                    .toList();
        }

        void go(Line line) throws LineProblem, InterruptedException {
            Wire wire = wired.wire();
            // It may still be saving what it was cut off at.
            awaitSaved(line);
            if (wire.unlock().isPresent() && password.isPresent()) {
                line.write(wire.unlock().get(), List.of(password.get()));
            }
            int written = 0;
            for (WiredEntry one : WiredEntry.toWrite(wanted, wired.read(line, wanted))) {
                stillOurs();
                write(line, one);
                mapper.progress(transfer.id(), Stage.WRITING, ++written);
            }
            stillOurs();
            mapper.progress(transfer.id(), Stage.SAVING, written);
            if (wire.save().isPresent()) {
                line.write(
                        wire.save().get().address(), List.of(wire.save().get().value()));
                awaitSaved(line);
            }
            mapper.progress(transfer.id(), Stage.COMPARING, written);
            Map<String, String> holds = wired.read(line, wanted);
            List<WiredEntry> left = WiredEntry.toWrite(wanted, holds);
            if (!left.isEmpty()) {
                WiredEntry first = left.get(0);
                throw new LineProblem("Read back after saving, \""
                        + first.setting().label() + "\" is "
                        + inUnit(first, holds.get(first.place())) + ", not "
                        + inUnit(first, first.setting().enter())
                        + (left.size() > 1 ? ", and " + (left.size() - 1) + " more are not as they were sent." : "."));
            }
            end(holds);
        }

        private void write(Line line, WiredEntry one) throws LineProblem {
            String entry = one.setting().enter();
            line.write(one.register().address(), one.raw(entry));
            String held =
                    one.text(line.read(one.register().address(), one.register().words()));
            audit.note(
                    Deed.DEVICE_WRITTEN,
                    account,
                    transfer.siteId(),
                    wired.device().name() + ", " + one.setting().label() + ": " + inUnit(one, entry)
                            + (held.equals(entry) ? "" : ", holds " + inUnit(one, held)));
            if (!WiredEntry.toWrite(List.of(one), Map.of(one.place(), held)).isEmpty()) {
                throw new LineProblem("\"" + one.setting().label() + "\" was written as " + inUnit(one, entry)
                        + " and reads back as " + inUnit(one, held)
                        + ": the device takes it on another scale, or rounds or limits it. Nothing more is written.");
            }
        }

        private void awaitSaved(Line line) throws LineProblem, InterruptedException {
            if (wired.wire().busy().isEmpty()) {
                return;
            }
            Instant until = clock.instant().plus(SAVES_WITHIN);
            while (line.read(wired.wire().busy().get(), 1).get(0) != 0) {
                stillOurs();
                if (clock.instant().isAfter(until)) {
                    throw new LineProblem("It has been saving for " + SAVES_WITHIN.toSeconds() + " s.");
                }
                Thread.sleep(LOOKS_EVERY_MILLISECONDS);
            }
        }

        /** Nothing is written by who has lost the address to another. */
        private void stillOurs() throws LineProblem {
            if (mapper.renew(connection.address(), holder) == 0) {
                throw new LineProblem("Somebody else writes at " + connection.address() + " now.");
            }
        }

        private void end(Map<String, String> holds) {
            Stage stage = back ? Stage.ROLLED_BACK : Stage.DONE;
            UUID reading = UUID.nameUUIDFromBytes((transfer.id() + " " + stage).getBytes(StandardCharsets.UTF_8));
            // Of a plan that is older than the newest the device is read anew: what stands there is compared with that
            // one.
            if (transfers.isNewest(transfer)) {
                readings.keep(transfer.siteId(), transfer.device(), reading, holds, account);
            }
            transaction.executeWithoutResult(status -> {
                if (mapper.end(transfer.id(), stage, clock.instant()) == 1) {
                    audit.note(
                            back ? Deed.TRANSFER_ROLLED_BACK : Deed.TRANSFER_DONE,
                            account,
                            transfer.siteId(),
                            wired.device().name() + ", " + wanted.size() + " entries read back");
                }
            });
        }
    }

    private static String inUnit(WiredEntry entry, String value) {
        return (value + " " + entry.setting().unit()).strip();
    }
}
