package sparen.browser;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Random;
import org.testng.annotations.Test;

/** What stands for a fused multiply-add in a script, beside that of Java, which rounds once. */
public class FusedTest {
    private static final int TRIED = 100_000;

    /** Within the last bit, also where product and summand nearly cancel and plain arithmetic keeps no digit. */
    @Test
    public void isTheFusedOneToItsLastBit() {
        Random random = new Random(1);
        int betterThanPlain = 0;
        for (int i = 0; i < TRIED; i++) {
            double a = random.nextGaussian() * Math.pow(10, random.nextInt(7) - 3);
            double b = random.nextGaussian();
            double c = i % 2 == 0 ? random.nextGaussian() : -a * b;
            double right = Math.fma(a, b, c);
            assertEquals(Fused.multiplyAdd(a, b, c), right, Math.ulp(right), a + " × " + b + " + " + c);
            betterThanPlain += a * b + c == right ? 0 : 1;
        }
        assertTrue(betterThanPlain > TRIED / 4, betterThanPlain + " of " + TRIED);
    }
}
