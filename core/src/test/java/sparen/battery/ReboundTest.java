package sparen.battery;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.Test;
import sparen.series.Series;

/** What a battery rebounds by, against the answer of an RC pair to a constant current in closed form (any textbook of circuits). */
public class ReboundTest {
    private static final double[] OHMS = {0.01, 0.004};
    private static final double[] SECONDS = {300, 40};
    private static final double[] START = {-0.2, 0.05};
    private static final double STEP = 10;

    private static Rebound rebound() {
        return new Rebound(
                BatteryModel.plain(720_000, new double[] {0, 1}, new double[] {12, 13}, 0.01, OHMS, SECONDS, START));
    }

    private static void expand(Rebound rebound, double[] current, double[] volts) {
        for (int k = 0; k < Series.ORDER; k++) {
            volts[k + 1] = rebound.extend(current, k, 0);
        }
    }

    /** v(t) = I R + (v(0) − I R) exp(−t/τ), both pairs, after two minutes of 25 A. */
    @Test
    public void settlesAsAnRcPairDoes() {
        Rebound rebound = rebound();
        double[] current = Series.zero();
        current[0] = 25;
        for (int i = 0; i < 12; i++) {
            expand(rebound, current, Series.zero());
            rebound.advance(Series.ORDER, STEP);
        }
        double expected = 0;
        for (int i = 0; i < OHMS.length; i++) {
            double settled = 25 * OHMS[i];
            expected += settled + (START[i] - settled) * Math.exp(-120 / SECONDS[i]);
        }
        assertEquals(rebound.onTop(0), expected, 1e-12);
        assertEquals(rebound.onTop(12.5), 12.5 + expected, 1e-12);
        assertEquals(rebound.settled(0.02), 0.02 + 0.01 + 0.004, 1e-15);
    }

    /** What goes in is stored or lost; a pair stores C v²/2 with C = τ/R: 300/0.01 · 0.2²/2 + 40/0.004 · 0.05²/2 = 600 + 12.5 J. */
    @Test
    public void losesWhatItDoesNotStore() {
        Rebound rebound = rebound();
        assertEquals(rebound.stored(0), 612.5, 1e-9);
        double[] current = Series.zero();
        current[0] = -8;
        double in = 0;
        double lost = 0;
        for (int i = 0; i < 12; i++) {
            double[] volts = Series.zero();
            volts[0] = rebound.onTop(0);
            expand(rebound, current, volts);
            in += Series.integralOfProduct(volts, current, Series.ORDER, STEP);
            lost = rebound.lost(lost, Series.ORDER, STEP);
            rebound.advance(Series.ORDER, STEP);
        }
        assertEquals(in, lost + rebound.stored(0) - 612.5, 1e-9);
    }

    /** In the cold resistances double; time constants stay, so capacitances halve, and with them the energy at the same voltage. */
    @Test
    public void tellsTheEnergyOfAnotherResistance() {
        Rebound rebound = rebound();
        assertEquals(rebound.takeFactor(2), -306.25, 1e-9);
        assertEquals(rebound.stored(0), 306.25, 1e-9);
        assertEquals(rebound.settled(0), 0.028, 1e-15);
        assertEquals(rebound.onTop(0), -0.15, 1e-15);
    }
}
