package sparen.site;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.quantity.InvalidQuantity;

/** What cannot exist is refused with field, value, unit and bound; cables have the resistance of the standard. */
public class SiteRecordsTest {
    /** Loop resistance and drop: IEC 60228 class 2 at 20 °C and 0.00393 1/K, from memory; recomputed independently. */
    @DataProvider
    public Object[][] cables() {
        return new Object[][] {
            {6.0, 12.0, 15.0, 20.0, 73.92, 1.1088},
            {16.0, 3.0, 40.0, 20.0, 6.9, 0.276},
            {35.0, 2.5, 120.0, 50.0, 2.9289, 0.35147},
            {70.0, 1.8, 200.0, 40.0, 1.04063, 0.20813},
            {10.0, 25.0, 18.0, -10.0, 80.71215, 1.45282},
            {2.5, 8.0, 5.0, 70.0, 141.85704, 0.70929},
        };
    }

    @Test(dataProvider = "cables")
    public void cableDropAgreesWithTheStandard(
            double area, double metres, double amperes, double celsius, double milliohms, double drop) {
        double ohms = Cable.copper(area, metres).loopOhms(celsius);
        assertEquals(ohms * 1000, milliohms, 5e-5);
        assertEquals(ohms * amperes, drop, 5e-5);
    }

    @Test
    public void aMeasuredCableIsTakenAsItWasMeasured() {
        Cable both = new Cable(Optional.of(0.004), Optional.of(16.0), Optional.of(3.0));
        assertEquals(both.loopOhms(70), 0.004);
    }

    @DataProvider
    public Object[][] refusals() {
        return new Object[][] {
            {refusal(() -> new Location(91, 0, 0, "UTC")), "latitudeDegrees", "91 ° is outside -90 to 90 °"},
            {refusal(() -> new Location(60, 0, 0, "Mars/Base")), "timeZone", "is not a time zone such as Europe/Oslo"},
            {refusal(() -> new Location(Double.NaN, 0, 0, "UTC")), "latitudeDegrees", "NaN"},
            {refusal(() -> Cable.copper(5, 2)), "crossSectionSquareMillimetres", "5 mm² is not one of [1.5, 2.5"},
            {refusal(() -> Cable.measured(-0.1)), "measuredLoopOhms", "-0.1 Ω is outside 0 to 10 Ω"},
            {
                refusal(() -> new Cable(Optional.empty(), Optional.of(6.0), Optional.empty())),
                "oneWayMetres",
                "go together"
            },
            {refusal(() -> new RcPair(0.01, 1, 0)), "ohms × farads", "0.01 s is outside 1 to 10000000 s"},
            {refusal(() -> new Consumption.Resistance(0)), "ohms", "0 Ω is outside 0.001 to 1000000 Ω"},
            {refusal(() -> table(List.of(0.0, 0.5), List.of(12.0, 13.0))), "statesOfCharge", "0.5 is outside 1 to 1"},
            {refusal(() -> table(List.of(0.0, 1.0), List.of(13.0, 12.0))), "openCircuitVolts", "12 V is outside 13"},
            {refusal(() -> table(List.of(0.0, 1.0), List.of(13.0))), "openCircuitVolts", "1 voltages for 2"},
            {
                refusal(() -> bank(Chemistry.GEL, Optional.of(table(List.of(0.0, 1.0), List.of(12.0, 13.0))))),
                "table",
                "GEL"
            },
            {refusal(() -> bank(Chemistry.USER_TABLE, Optional.empty())), "table", "belongs to chemistry USER_TABLE"},
            {
                refusal(() -> new Load("Beacon", "b", false, new Consumption.ConstantPower(1), Cable.measured(0))),
                "id",
                "Beacon"
            },
            {
                refusal(() -> new Load("b", " ", false, new Consumption.ConstantPower(1), Cable.measured(0))),
                "name",
                "blank"
            },
            {
                refusal(() -> new CurrentSource(
                        "s", "s", List.of(new CurrentSource.Point(5, 1), new CurrentSource.Point(5, 2)))),
                "points.secondsFromStart",
                "5 s must be above 5"
            },
        };
    }

    /** Makes something that cannot be. */
    private interface Making {
        Object make();
    }

    private static Making refusal(Making making) {
        return making;
    }

    private static BatteryTable table(List<Double> charges, List<Double> volts) {
        return new BatteryTable(charges, volts, 0.01, List.of());
    }

    private static BatteryBank bank(Chemistry chemistry, Optional<BatteryTable> table) {
        return new BatteryBank("bank", chemistry, 6, 100, 20, 10, 15, 0.5, table);
    }

    @Test(dataProvider = "refusals")
    public void refusesWhatCannotBe(Making making, String field, String words) {
        InvalidQuantity refused = expectThrows(InvalidQuantity.class, making::make);
        assertEquals(refused.field(), field);
        assertTrue(
                refused.getMessage().startsWith(field + ": ")
                        && refused.getMessage().contains(words),
                refused.getMessage());
    }
}
