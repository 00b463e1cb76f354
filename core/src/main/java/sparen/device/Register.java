package sparen.device;

import java.util.List;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * A number in a device as its wire gives it: Modbus holding registers of sixteen bits each.
 *
 * @param address of the first register, counted from 0, to 65535
 * @param words how many registers it takes, 1 or 2
 * @param signed whether it can be below 0, in two's complement
 * @param scale how much of its unit one count is, above 0 to 1e6: 0.1 where 504 stands for 50.4 V
 */
public record Register(int address, int words, boolean signed, double scale) {
    static final int LAST = 65535;
    private static final int BITS = 16;
    private static final long MASK = 0xFFFF;

    /** How a number of two registers lies in them. */
    public enum WordOrder {
        HIGH_FIRST,
        LOW_FIRST
    }

    public Register {
        Bounds.within("words", words, "registers", 1, 2);
        Bounds.within("address", address, "", 0, LAST + 1 - words);
        Bounds.above("scale", scale, "×", 0, 1e6);
    }

    /** The same, further on. */
    Register further(int registers) {
        return new Register(address + registers, words, signed, scale);
    }

    /**
     * A number as it lies in the registers.
     *
     * @throws InvalidQuantity when they cannot hold it
     */
    public List<Integer> raw(double number, WordOrder order) {
        double asked = number / scale;
        double count = Math.rint(asked);
        int bits = BITS * words;
        double most = Math.pow(2, signed ? bits - 1 : bits) - 1;
        double least = signed ? -most - 1 : 0;
        if (Math.abs(count - asked) > 1e-6 || count < least || count > most) {
            throw new InvalidQuantity(
                    "registers",
                    Bounds.number(number) + " cannot be held at register " + address + ", which goes from "
                            + Bounds.number(least * scale) + " to " + Bounds.number(most * scale) + " by "
                            + Bounds.number(scale));
        }
        long value = (long) count;
        if (words == 1) {
            return List.of((int) (value & MASK));
        }
        List<Integer> high = List.of((int) (value >> BITS & MASK), (int) (value & MASK));
        return order == WordOrder.HIGH_FIRST ? high : List.of(high.get(1), high.get(0));
    }

    /**
     * The number that lies in registers.
     *
     * @param raw as many as it takes, 0 to 65535 each
     */
    public double number(List<Integer> raw, WordOrder order) {
        long value = 0;
        List<Integer> high = words == 1 || order == WordOrder.HIGH_FIRST ? raw : List.of(raw.get(1), raw.get(0));
        for (int word : high) {
            value = value << BITS | word & MASK;
        }
        int bits = BITS * words;
        if (signed && value >> bits - 1 == 1) {
            value -= 1L << bits;
        }
        return Math.rint(value * scale * 1e6) / 1e6;
    }
}
