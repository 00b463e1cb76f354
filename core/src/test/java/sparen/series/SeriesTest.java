package sparen.series;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.Random;
import org.hipparchus.analysis.polynomials.PolynomialFunction;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Against polynomials of a general-purpose mathematics library, and against roots known in closed form. */
public class SeriesTest {
    private static double[] random(Random random) {
        double[] c = Series.zero();
        for (int k = 0; k < c.length; k++) {
            c[k] = random.nextDouble() * 2 - 1;
        }
        return c;
    }

    private static double[] upTo(double[] c, int order) {
        return Arrays.copyOf(c, order + 1);
    }

    @DataProvider
    public Object[][] orders() {
        return new Object[][] {{Series.LOW_ORDER}, {Series.MIDDLE_ORDER}, {Series.ORDER}};
    }

    @Test(dataProvider = "orders")
    public void valueAgreesWithTheLibrary(int order) {
        Random random = new Random(3);
        for (int i = 0; i < 50; i++) {
            double[] c = random(random);
            double t = random.nextDouble();
            assertEquals(Series.at(c, order, t), new PolynomialFunction(upTo(c, order)).value(t), 1e-14);
        }
    }

    /** The product is cut at the order, as the series themselves are. */
    @Test(dataProvider = "orders")
    public void integralOfProductAgreesWithTheLibrary(int order) {
        Random random = new Random(5);
        for (int i = 0; i < 50; i++) {
            double[] a = random(random);
            double[] b = random(random);
            double h = 0.1 + random.nextDouble();
            PolynomialFunction product =
                    new PolynomialFunction(upTo(a, order)).multiply(new PolynomialFunction(upTo(b, order)));
            PolynomialFunction cut = new PolynomialFunction(upTo(product.getCoefficients(), order));
            PolynomialFunction integral = cut.antiDerivative();
            assertEquals(Series.integralOfProduct(a, b, order, h), integral.value(h) - integral.value(0), 1e-12);
        }
    }

    @Test
    public void innerProductLeavesOutBothEnds() {
        double[] a = {1, 2, 3, 4, 5, 6, 7};
        double[] b = {10, 20, 30, 40, 50, 60, 70};
        assertEquals(Series.innerProduct(a, b, 4), 2.0 * 40 + 3 * 30 + 4 * 20);
        assertEquals(Series.innerProduct(a, b, 1), 0.0);
    }

    @DataProvider
    public Object[][] exits() {
        double none = Double.POSITIVE_INFINITY;
        double inf = Double.POSITIVE_INFINITY;
        return new Object[][] {
            // falling straight through 11.5
            {new double[] {12, -0.1}, 10.0, 11.5, inf, 5.0},
            // stays inside
            {new double[] {12, -0.01}, 10.0, 11.5, inf, none},
            // rising through the upper end
            {new double[] {12, 0.3}, 10.0, 11.5, 12.6, 2.0},
            // there and back within the step: 12 − 0.4 t + 0.05 t² is lowest, 11.2, at t = 4, and crosses 11.3 before
            {new double[] {12, -0.4, 0.05}, 10.0, 11.3, inf, 4 - Math.sqrt(2)},
            // the same parabola does not reach 11.19
            {new double[] {12, -0.4, 0.05}, 10.0, 11.19, inf, none},
            // a bump of a few milliseconds just inside a step
            {new double[] {0, 1, -1}, 1.0, -inf, 0.2499, 0.5 - Math.sqrt(0.0001)},
            // beyond the step is not looked at
            {new double[] {12, -0.1}, 4.0, 11.5, inf, none},
        };
    }

    @Test(dataProvider = "exits")
    public void findsTheFirstExit(double[] head, double h, double low, double high, double expected) {
        double[] c = Arrays.copyOf(head, Series.ORDER + 1);
        double exit = Series.firstExit(c, Series.ORDER, h, low, high);
        if (expected == Double.POSITIVE_INFINITY) {
            assertEquals(exit, expected);
            return;
        }
        assertEquals(exit, expected, 2e-6);
        double value = Series.at(c, Series.ORDER, exit);
        assertTrue(value < low || value > high, "accepted just behind the crossing");
    }

    /** What stands beyond the order counts for nothing. */
    @Test
    public void leavesStaleCoefficientsUnread() {
        double[] c = {12, -0.1, 0, 0, 0, 1e9, 1e9};
        assertEquals(Series.firstExit(c, Series.LOW_ORDER, 10, 11.5, Double.POSITIVE_INFINITY), 5.0, 2e-6);
        assertEquals(Series.at(c, Series.LOW_ORDER, 2), 11.8, 1e-12);
        assertEquals(Series.term(c, Series.LOW_ORDER, 2), 0.0);
    }
}
