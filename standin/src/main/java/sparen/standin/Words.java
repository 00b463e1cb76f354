package sparen.standin;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import sparen.device.Register;

/** Counts as they lie in registers, two bytes each, worked out here and nowhere else. */
final class Words {
    private static final int BYTES = 2;

    private Words() {}

    /** The count that stands for a number. */
    static BigInteger count(double number, Register register) {
        return BigDecimal.valueOf(number)
                .divide(BigDecimal.valueOf(register.scale()), 0, RoundingMode.HALF_EVEN)
                .toBigInteger();
    }

    /** The number a count stands for. */
    static double number(BigInteger count, Register register) {
        return new BigDecimal(count)
                .multiply(BigDecimal.valueOf(register.scale()))
                .doubleValue();
    }

    /** A count as words, the high one first. */
    static int[] words(BigInteger count, Register register) {
        int[] words = new int[register.words()];
        for (int i = 0; i < words.length; i++) {
            words[i] =
                    count.shiftRight(Byte.SIZE * BYTES * (words.length - 1 - i)).intValue() & 0xFFFF;
        }
        return words;
    }

    /** The count in words, the high one first. */
    static BigInteger count(int[] words, Register register) {
        byte[] bytes = new byte[words.length * BYTES];
        for (int i = 0; i < words.length; i++) {
            bytes[BYTES * i] = (byte) (words[i] >> Byte.SIZE);
            bytes[BYTES * i + 1] = (byte) words[i];
        }
        return register.signed() ? new BigInteger(bytes) : new BigInteger(1, bytes);
    }
}
