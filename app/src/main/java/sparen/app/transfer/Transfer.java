package sparen.app.transfer;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What goes into one device.
 *
 * @param revision of the plan it comes from
 * @param begunBy account name
 * @param stage how far it is
 * @param rollsBack whether it puts back what stood there
 * @param written how many numbers have been written since it was last sent
 * @param problem what stopped it; null while nothing has
 * @param content what is written, and what was told before
 * @param endedAt null as long as the device may be half written
 */
record Transfer(
        UUID id,
        String siteId,
        String device,
        int revision,
        String begunBy,
        Instant begunAt,
        Stage stage,
        boolean rollsBack,
        int written,
        String problem,
        TransferContent content,
        Instant endedAt) {
    /** How far it is. */
    enum Stage {
        /** Read, worked out, nothing written. */
        PREPARED,
        /** Display and meter agree with the wire. */
        CHECKED,
        WRITING,
        SAVING,
        COMPARING,
        DONE,
        ROLLED_BACK,
        /** Ended before anything was written. */
        LEFT
    }

    /**
     * One number or choice, by the place of its entry.
     *
     * @param holds what stood there
     * @param planned what is to stand there
     */
    record EntryChange(String place, String at, String label, String unit, String holds, String planned) {}

    /**
     * A number to be read off the device's own display.
     *
     * @param at id of the output, charger, inverter or monitor it belongs to
     */
    record AskedEntry(String place, String at, String label, String unit) {}

    /**
     * What is written, in the order in which it is.
     *
     * @param dropping what drops out while it saves; absent for nothing
     * @param dropsWhileSaving names of the loads that do
     * @param dropsAfter names of the loads that what is written takes off
     * @param asked what has to be read off the display first
     * @param asksVolts whether the device tells a voltage that a meter can be held against
     * @param asksPassword whether it wants one
     */
    record TransferContent(
            List<EntryChange> changes,
            Optional<String> dropping,
            List<String> dropsWhileSaving,
            List<String> dropsAfter,
            List<AskedEntry> asked,
            boolean asksVolts,
            boolean asksPassword) {}

    boolean isOpen() {
        return endedAt == null;
    }

    boolean hasBegun() {
        return stage != Stage.PREPARED && stage != Stage.CHECKED;
    }
}
