package sparen.standin;

import com.digitalpetri.modbus.ExceptionCode;
import java.io.IOException;
import java.math.BigInteger;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import sparen.device.FittedDevice;
import sparen.device.LiveRegister;
import sparen.device.NumberKnob;
import sparen.device.Register;
import sparen.device.Register.WordOrder;
import sparen.device.Wire;
import sparen.program.Plan;

/** One device on the wire. */
final class Device {
    /** What opens a device that wants a password. */
    static final int PASSWORD = 2718;

    private static final Duration SAVES_FOR = Duration.ofMillis(300);
    private static final Duration STAYS_OPEN_FOR = Duration.ofMinutes(5);
    private static final Duration DROPS_FOR = Duration.ofSeconds(3);
    private static final int COARSE = 50;

    private final FittedDevice fitted;
    private final Wire wire;
    private final Clock clock;
    private final Menu menu;
    private final Memory memory;
    private final Set<Fault> faults = Collections.synchronizedSet(EnumSet.noneOf(Fault.class));
    private Instant openUntil = Instant.MIN;
    private Instant busyUntil = Instant.MIN;
    private Instant offUntil = Instant.MIN;
    private Optional<SiteModel.Moment> suspendedAt = Optional.empty();

    /**
     * A device as a plan has it, just switched on.
     *
     * @param folder where it keeps its memory
     */
    Device(Plan plan, FittedDevice fitted, Path folder, Clock clock) throws IOException {
        this.fitted = fitted;
        this.wire = fitted.profile().wire().orElseThrow();
        this.clock = clock;
        this.menu = new Menu(plan, fitted);
        memory = new Memory(folder.resolve(fitted.id() + ".memory"), menu.factory());
    }

    FittedDevice fitted() {
        return fitted;
    }

    Set<Fault> faults() {
        return faults;
    }

    private WordOrder order() {
        WordOrder other = wire.order() == WordOrder.HIGH_FIRST ? WordOrder.LOW_FIRST : WordOrder.HIGH_FIRST;
        return faults.contains(Fault.OTHER_ORDER) ? other : wire.order();
    }

    /** What its own display shows, by places; what it shows it also goes by. */
    synchronized Map<String, String> display() {
        return menu.texts(memory::get);
    }

    /** What it would still show after its supply was gone. */
    synchronized Map<String, String> stored() {
        return menu.texts(memory.stored()::get);
    }

    /** What stands at an entry, with its unit, for a page. */
    String label(String place) {
        return menu.label(place);
    }

    String unit(String place) {
        return menu.unit(place);
    }

    /**
     * Reads registers.
     *
     * @param moment what is measured
     */
    synchronized int[] read(int address, int quantity, SiteModel.Moment moment) throws Refused {
        int[] words = new int[quantity];
        for (int i = 0; i < quantity; i++) {
            words[i] = word(address + i, moment);
        }
        return words;
    }

    private int word(int address, SiteModel.Moment moment) throws Refused {
        if (wire.busy().equals(Optional.of(address))) {
            return clock.instant().isBefore(busyUntil) ? 1 : 0;
        }
        for (Menu.Slot slot : menu.slots()) {
            int at = address - slot.register().address();
            if (at >= 0 && at < slot.register().words()) {
                return told(slot)[at];
            }
        }
        for (LiveRegister live : wire.live()) {
            int at = address - live.register().address();
            int outputs = live.what() == LiveRegister.What.CONTACT_CLOSED
                    ? fitted.outputs().size()
                    : 1;
            if (at >= 0 && at < live.register().words() * outputs) {
                return live(live, at, moment);
            }
        }
        throw new Refused(ExceptionCode.ILLEGAL_DATA_ADDRESS);
    }

    private int[] told(Menu.Slot slot) {
        int[] raw = new int[slot.register().words()];
        for (int i = 0; i < raw.length; i++) {
            raw[i] = memory.get(slot.register().address() + i);
        }
        boolean isMore = slot.knob().choices().isEmpty()
                && (faults.contains(Fault.READS_TEN_TIMES) || faults.contains(Fault.OTHER_SCALE));
        BigInteger count = Words.count(Menu.ordered(raw, wire.order()), slot.register());
        return Menu.ordered(Words.words(isMore ? count.multiply(BigInteger.TEN) : count, slot.register()), order());
    }

    private int live(LiveRegister live, int at, SiteModel.Moment moment) {
        SiteModel.Moment shown = suspendedAt.orElse(moment);
        boolean isOff = clock.instant().isBefore(offUntil);
        double number =
                switch (live.what()) {
                    case BATTERY_VOLTS -> moment.batteryVolts();
                    case BATTERY_AMPERES -> moment.batteryAmperes();
                    case CHARGE_PERCENT -> moment.stateOfCharge() * 100;
                    case ARRAY_WATTS -> moment.arrayWatts();
                    case LOAD_WATTS -> isOff ? 0 : moment.loadWatts();
                    case CONTACT_CLOSED ->
                        Boolean.TRUE.equals(shown.closed().get(fitted.outputs().get(at))) ? 1 : 0;
                };
        int[] words = Menu.ordered(Words.words(Words.count(number, live.register()), live.register()), order());
        return words[live.what() == LiveRegister.What.CONTACT_CLOSED ? 0 : at];
    }

    /**
     * Writes registers.
     *
     * @return whether what is stored is another now
     */
    synchronized boolean write(int address, int[] words, SiteModel.Moment moment) throws Refused {
        if (clock.instant().isBefore(busyUntil)) {
            throw new Refused(ExceptionCode.SLAVE_DEVICE_BUSY);
        }
        if (wire.unlock().equals(Optional.of(address))) {
            openUntil = words[0] == PASSWORD ? clock.instant().plus(STAYS_OPEN_FOR) : Instant.MIN;
            return false;
        }
        if (wire.unlock().isPresent() && !clock.instant().isBefore(openUntil)) {
            throw new Refused(ExceptionCode.ILLEGAL_FUNCTION);
        }
        if (wire.save().filter(save -> save.address() == address).isPresent()) {
            return save(words[0]);
        }
        if (faults.contains(Fault.REJECTS)) {
            throw new Refused(ExceptionCode.SLAVE_DEVICE_FAILURE);
        }
        for (Menu.Slot slot : menu.slots()) {
            if (slot.register().address() == address && slot.register().words() == words.length) {
                // While a tool has it, its program stands still.
                suspendedAt = wire.save().map(save -> suspendedAt.orElse(moment));
                keep(slot, words);
                return wire.save().isEmpty() && save();
            }
        }
        throw new Refused(ExceptionCode.ILLEGAL_DATA_ADDRESS);
    }

    private void keep(Menu.Slot slot, int[] words) throws Refused {
        Register register = slot.register();
        BigInteger count = Words.count(Menu.ordered(words, order()), register);
        boolean isNumber = slot.knob().choices().isEmpty();
        if (isNumber && (faults.contains(Fault.WRITES_A_TENTH) || faults.contains(Fault.OTHER_SCALE))) {
            count = count.divide(BigInteger.TEN);
        }
        if (isNumber && faults.contains(Fault.ROUNDS)) {
            BigInteger coarse = BigInteger.valueOf(COARSE);
            count = count.divide(coarse).multiply(coarse);
        }
        if (slot.knob() instanceof NumberKnob knob) {
            double number = Words.number(count, register);
            double kept = Math.max(knob.least(), Math.min(knob.most(), number));
            // What a wrong scale brings below its range it takes all the same: nobody would see it otherwise.
            if (kept != number && faults.contains(Fault.LIMITS)) {
                count = Words.count(kept, register);
            } else if (number > knob.most() || number < knob.least() && faults.isEmpty()) {
                throw new Refused(ExceptionCode.ILLEGAL_DATA_VALUE);
            }
        } else if (!isNumber
                && count.compareTo(BigInteger.valueOf(slot.knob().choices().size())) >= 0) {
            throw new Refused(ExceptionCode.ILLEGAL_DATA_VALUE);
        }
        int[] kept = Menu.ordered(Words.words(count, register), wire.order());
        for (int i = 0; i < kept.length; i++) {
            memory.put(register.address() + i, kept[i]);
        }
    }

    private boolean save(int value) throws Refused {
        if (value != wire.save().orElseThrow().value()) {
            throw new Refused(ExceptionCode.ILLEGAL_DATA_VALUE);
        }
        suspendedAt = Optional.empty();
        busyUntil = wire.busy().map(busy -> clock.instant().plus(SAVES_FOR)).orElse(Instant.MIN);
        offUntil = fitted.profile()
                .dropping()
                .map(drops -> clock.instant().plus(DROPS_FOR))
                .orElse(Instant.MIN);
        if (faults.contains(Fault.FORGETS)) {
            memory.forget();
            return false;
        }
        return save();
    }

    private boolean save() {
        memory.save();
        return true;
    }
}
