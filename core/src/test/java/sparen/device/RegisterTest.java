package sparen.device;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.device.Register.WordOrder;
import sparen.quantity.InvalidQuantity;

/**
 * Numbers in registers. That a register is sixteen bits, its high byte first, is MODBUS Application Protocol Specification V1.1b3,
 * §4.2; that numbers of two registers come in either order, and below zero in two's complement, is common practice, no source. The raw
 * words are worked out by hand.
 */
public class RegisterTest {
    /** A number, its scale, whether signed, and its words, the high one first. */
    @DataProvider
    private Object[][] numbers() {
        return new Object[][] {
            {50.4, 0.1, false, List.of(504)},
            {0, 0.1, false, List.of(0)},
            {6553.5, 0.1, false, List.of(0xFFFF)},
            {-12.5, 0.1, true, List.of(0xFF83)},
            {-3276.8, 0.1, true, List.of(0x8000)},
            {70_000, 1, false, List.of(1, 4464)},
            {-70_000, 1, true, List.of(0xFFFE, 0xEE90)},
            {51.25, 0.01, false, List.of(0, 5125)},
        };
    }

    @Test(dataProvider = "numbers")
    public void aNumberLiesInItsRegisters(double number, double scale, boolean signed, List<Integer> words) {
        Register register = new Register(100, words.size(), signed, scale);
        assertEquals(register.raw(number, WordOrder.HIGH_FIRST), words);
        assertEquals(register.number(words, WordOrder.HIGH_FIRST), number, 1e-9);
        List<Integer> turned = words.size() == 1 ? words : List.of(words.get(1), words.get(0));
        assertEquals(register.raw(number, WordOrder.LOW_FIRST), turned);
        assertEquals(register.number(turned, WordOrder.LOW_FIRST), number, 1e-9);
    }

    @Test
    public void whatARegisterCannotHoldIsRefused() {
        for (double number : new double[] {6553.6, -0.1, 50.44}) {
            InvalidQuantity refused = expectThrows(
                    InvalidQuantity.class, () -> new Register(100, 1, false, 0.1).raw(number, WordOrder.HIGH_FIRST));
            assertTrue(refused.getMessage().contains("from 0 to 6553.5 by 0.1"), refused.getMessage());
        }
        expectThrows(InvalidQuantity.class, () -> new Register(65535, 2, false, 1));
    }

    /** A second entry on the registers of another would overwrite it. */
    @Test
    public void twoEntriesNeverLieOnEachOther() {
        Knob one = new NumberKnobBuilder()
                .setting("charging.floatVolts")
                .label("float")
                .unit("V")
                .ofOurs(1)
                .least(10)
                .most(70)
                .step(0.1)
                .build();
        Knob two = ((NumberKnob) one).withSetting("charging.absorptionVolts");
        DeviceProfile profile = new DeviceProfileBuilder()
                .id("box")
                .name("Box")
                .knobs(List.of(one, two))
                .saving("at once")
                .showing("it is read back")
                .build();
        for (int address : new int[] {7, 8}) {
            Wire wire = new WireBuilder()
                    .order(WordOrder.HIGH_FIRST)
                    .entries(List.of(
                            new EntryRegisterBuilder()
                                    .entry(one.key())
                                    .register(new Register(7, 2, false, 0.1))
                                    .build(),
                            new EntryRegisterBuilder()
                                    .entry(two.key())
                                    .register(new Register(address, 1, false, 0.1))
                                    .build()))
                    .build();
            InvalidQuantity refused = expectThrows(InvalidQuantity.class, () -> profile.withWire(Optional.of(wire)));
            assertTrue(
                    refused.getMessage().startsWith("wire.entries.1.register.address: " + address),
                    refused.getMessage());
        }
    }
}
