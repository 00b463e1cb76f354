package sparen.fit;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.fit.Estimate.Quantity;
import sparen.program.FullSite;
import sparen.program.Origin;
import sparen.program.Plan;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;
import sparen.site.Ageing;

/** What becomes of a plan with fitted numbers; its bank has 400 Ah, its array loses 5 %. */
public class FittedPlanTest {
    private static final LocalDate UNTIL = LocalDate.of(2026, 10, 31);

    private static FitResult fit(Quantity quantity, double value, double planned, String cannotTell) {
        return new FitResult(
                List.of(new Estimate(
                        quantity, value, value * 0.98, value * 1.02, planned, Optional.ofNullable(cannotTell))),
                0.04,
                0.01,
                30,
                0.4,
                List.of(),
                Optional.empty());
    }

    /** By hand: 324 Ah of 400 Ah; 18 mΩ of 12 mΩ on a bank that had 1.2 × already; 5 % lost of 90 %: 1 − 0.95 × 0.9. */
    @DataProvider
    public Object[][] taken() {
        return new Object[][] {
            {Quantity.CAPACITY, 324, 400, "site/battery/ageing", new Ageing(0.81, 1.2)},
            {Quantity.RESISTANCE_IN_THE_END, 0.018, 0.012, "site/battery/ageing", new Ageing(1, 1.8)},
            {Quantity.VOLTAGE_OFFSET, 0.07, 0, "site/sensePoints/terminals/offsetVolts", 0.07},
            {Quantity.UNSEEN_AMPERES, -0.12, 0, "site/monitors/monitor/offsetAmperes", -0.12},
            {Quantity.ARRAY_FACTOR, 0.9, 1, "site/arrays/array/lossFraction", 0.145},
        };
    }

    @Test(dataProvider = "taken")
    public void eachNumberGoesWhereItBelongsWithItsOrigin(
            Quantity quantity, double value, double planned, String path, Object there) {
        Plan aged = Fields.withAt(FullSite.PLAN, "site/battery/ageing", new Ageing(1, 1.2));
        Plan with = FittedPlan.of(
                aged, fit(quantity, value, planned, null), List.of(quantity), Optional.of("terminals"), UNTIL);
        assertEquals(Fields.withAt(aged, path, there).site(), with.site());
        Origin origin = with.origins().get(path);
        assertEquals(origin.kind(), Origin.Kind.FITTED);
        assertTrue(origin.note().startsWith("to what was recorded until 2026-10-31: "), origin.note());
        assertTrue(origin.note().endsWith(" " + quantity.unit()), origin.note());
        assertEquals(with.program(), aged.program());
    }

    @DataProvider
    public Object[][] refused() {
        return new Object[][] {
            {Quantity.RESISTANCE_AT_ONCE, null, "the plan has one resistance for a battery: take RESISTANCE_IN_THE_END"
            },
            {Quantity.CAPACITY, "hardly drawn down", "CAPACITY is not known: hardly drawn down"},
            {Quantity.VOLTAGE_OFFSET, null, "sensePoint: is missing"},
        };
    }

    @Test(dataProvider = "refused")
    public void whatCannotBeTakenIsRefusedByName(Quantity quantity, String cannotTell, String words) {
        InvalidQuantity refused = expectThrows(
                InvalidQuantity.class,
                () -> FittedPlan.of(
                        FullSite.PLAN, fit(quantity, 1, 1, cannotTell), List.of(quantity), Optional.empty(), UNTIL));
        assertTrue(refused.getMessage().contains(words), refused.getMessage());
    }
}
