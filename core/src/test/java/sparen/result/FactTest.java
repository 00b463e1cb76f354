package sparen.result;

import static org.testng.Assert.assertEquals;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.testng.annotations.Test;
import sparen.logic.Reading;

/** Facts in words. */
public class FactTest {
    @Test
    public void whatBecameOfItStandsBeforeWhy() {
        List<Fact> facts = List.of(
                Fact.of(Change.CHARGE_PATH_OPENED),
                Fact.of(Change.BATTERY_HIGH, 14.6, 14.6123),
                Fact.of(Change.EACH_OF, 2));
        assertEquals(
                Fact.words(facts),
                "charge path opened, each of 2 batteries: battery at or above its highest 14.6 V; it reads 14.612 V");
    }

    /** What people call things may have braces of its own. */
    @Test
    public void aNameIsNeverTakenForANumber() {
        Reading reading = new Reading(0, 1, 0, "V", 2, OptionalDouble.of(11.3));
        Fact fact = Fact.byRule("{read} {limit} at or below LVD 11.3 V", Optional.of(reading), new double[] {11.28});
        assertEquals(fact.words(), "{read} {limit} at or below LVD 11.3 V; it reads 11.28 V");
        assertEquals(fact.numbers().get(0).value(), 11.3);
    }
}
