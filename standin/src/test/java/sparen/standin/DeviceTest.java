package sparen.standin;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import com.digitalpetri.modbus.ExceptionCode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Map;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import sparen.document.Documents;
import sparen.program.Plan;

/**
 * The observatory's house inverter as it was found: the freezer goes off at 42.5 V, 4250 hundredths, at register 1311. Volatile and
 * stored memory, passwords and times of saving are common practice, no source.
 */
public class DeviceTest {
    private static final int FREEZER_OFF = 1311;
    private static final int UNLOCK = 90;
    private static final int SAVE = 91;
    private static final int BUSY = 92;
    private static final SiteModel.Moment MOMENT = new SiteModel.Moment(
            53.07,
            -4.2,
            0.72,
            0,
            172,
            Map.of("workshop-output", true, "inverter-enable", true, "freezer-output", false));

    /** A clock that a test moves on. */
    private static final class TurnedClock extends Clock {
        private Instant now = Instant.parse("2026-11-30T10:00:00Z");

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }

    private final TurnedClock clock = new TurnedClock();
    private Path folder;
    private Device device;

    @BeforeMethod
    public void switchOn() throws Exception {
        folder = Files.createTempDirectory("sparen-device-");
        device = on();
    }

    private Device on() throws Exception {
        Plan plan = Documents.read(Files.readString(Path.of("../demo/skarvholm-as-found.json")))
                .plan();
        return new Device(plan, plan.program().devices().get(0), folder, clock);
    }

    private boolean write(int address, int word) throws Refused {
        return device.write(address, new int[] {word}, MOMENT);
    }

    private ExceptionCode refused(int address, int word) {
        return expectThrows(Refused.class, () -> write(address, word)).code();
    }

    private int read(int address) throws Refused {
        return device.read(address, 1, MOMENT)[0];
    }

    @Test
    public void whatIsMeasuredLiesInItsRegisters() throws Exception {
        assertEquals(
                device.read(20, 4, MOMENT),
                new int[] {5307, 0xFFFF - 41, 0, 172},
                "53.07 V, −4.2 A, 172 W in two words");
        assertEquals(device.read(24, 3, MOMENT), new int[] {1, 1, 0}, "the contacts of its three outputs");
        assertEquals(expectThrows(Refused.class, () -> read(5)).code(), ExceptionCode.ILLEGAL_DATA_ADDRESS);
    }

    @Test
    public void itWantsItsPasswordAndKeepsItsRange() throws Exception {
        assertEquals(refused(FREEZER_OFF, 4640), ExceptionCode.ILLEGAL_FUNCTION);
        write(UNLOCK, 1111);
        assertEquals(refused(FREEZER_OFF, 4640), ExceptionCode.ILLEGAL_FUNCTION);
        write(UNLOCK, Device.PASSWORD);
        assertEquals(refused(FREEZER_OFF, 65_535), ExceptionCode.ILLEGAL_DATA_VALUE);
        write(FREEZER_OFF, 4640);
        assertEquals(read(FREEZER_OFF), 4640);
    }

    /** What was not saved is gone with its supply; what was stays, and while it saves it takes nothing. */
    @Test
    public void onlyWhatWasSavedOutlivesItsSupply() throws Exception {
        write(UNLOCK, Device.PASSWORD);
        write(FREEZER_OFF, 4640);
        device = on();
        assertEquals(read(FREEZER_OFF), 4250);
        write(UNLOCK, Device.PASSWORD);
        write(FREEZER_OFF, 4640);
        assertTrue(write(SAVE, 1));
        assertEquals(read(BUSY), 1);
        assertEquals(refused(FREEZER_OFF, 4700), ExceptionCode.SLAVE_DEVICE_BUSY);
        assertEquals(device.read(22, 2, MOMENT), new int[] {0, 0}, "its AC output is off meanwhile");
        clock.now = clock.now.plus(Duration.ofSeconds(4));
        assertEquals(read(BUSY), 0);
        assertEquals(device.read(22, 2, MOMENT), new int[] {0, 172});
        device = on();
        assertEquals(read(FREEZER_OFF), 4640);
        assertEquals(device.display().get("freezer-output/voltageDisconnect.lvdVolts"), "46.4");
    }

    /** Each fault as somebody at the other end sees it. */
    @Test
    public void aFaultIsSeenAtTheOtherEnd() throws Exception {
        write(UNLOCK, Device.PASSWORD);
        device.faults().add(Fault.WRITES_A_TENTH);
        write(FREEZER_OFF, 4640);
        assertEquals(read(FREEZER_OFF), 464);
        device.faults().clear();
        device.faults().add(Fault.READS_TEN_TIMES);
        assertEquals(read(FREEZER_OFF), 4640);
        device.faults().clear();
        device.faults().add(Fault.OTHER_ORDER);
        assertEquals(device.read(22, 2, MOMENT), new int[] {172, 0});
        device.faults().clear();
        device.faults().add(Fault.LIMITS);
        write(FREEZER_OFF, 65_535);
        assertEquals(read(FREEZER_OFF), 6600, "its menu goes to 66 V");
        device.faults().clear();
        device.faults().add(Fault.ROUNDS);
        write(FREEZER_OFF, 4640);
        assertEquals(read(FREEZER_OFF), 4600);
        device.faults().clear();
        device.faults().add(Fault.FORGETS);
        write(FREEZER_OFF, 4640);
        assertFalse(write(SAVE, 1));
        assertEquals(read(FREEZER_OFF), 4250);
    }
}
