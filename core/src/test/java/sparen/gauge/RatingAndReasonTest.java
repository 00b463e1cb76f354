package sparen.gauge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.program.Contact;
import sparen.program.FullSite;
import sparen.program.Mode;
import sparen.program.Plan;
import sparen.program.TestForce;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.sun.DayType;
import sparen.sun.WeatherGenerator;
import sparen.working.WhyNot;

/** What is used of ratings, by hand; and the reasons why an output stayed still. */
public class RatingAndReasonTest {
    /** 50 W at 24 V are 2.08 A; they start with no more than that. */
    @Test
    public void tellsWhatIsUsedOfTheContact() {
        Contact contact = Contact.of(Contact.Kind.RELAY)
                .withDcAmperes(Optional.of(5.0))
                .withDcVolts(Optional.of(30.0))
                .withInrushAmperes(Optional.of(20.0));
        Plan plan = FullSite.output(FullSite.PLAN, "radio", output -> output.withContact(Optional.of(contact)));
        List<Rating> ratings = Rating.of(plan, Map.of()).stream()
                .filter(one -> one.output().equals("radio"))
                .toList();
        assertEquals(ratings.get(0).used(), 50.0 / 24, 0.01);
        assertEquals(ratings.get(0).bears(), 5.0);
        assertEquals(ratings.get(1).used(), 31.0, "the battery's highest voltage");
        assertEquals(ratings.get(2).used(), 50.0 / 24, 0.01);
        assertEquals(ratings.size(), 3);
    }

    private static RunResult run(Plan plan) {
        Instant start = Instant.parse("2026-06-01T00:00:00Z");
        double seconds = 3600;
        var weather = WeatherGenerator.generate(plan.site().location(), start, 60, DayType.CLEAR, 15, 1);
        return Simulation.run(new Scenario(plan, start, seconds, weather, Map.of()), new Window(0, seconds, 10));
    }

    @Test
    public void saysWhyAnOutputStayedStill() {
        RunResult calm = run(FullSite.PLAN);
        assertEquals(calm.outputs().get(0).switchings(), 0, calm.events().toString());
        String why = WhyNot.of(FullSite.PLAN, calm, "radio").orElseThrow();
        assertTrue(why.startsWith("LVD 22.8 V was not reached: the lowest was 2"), why);
        assertTrue(why.endsWith(" V"), why);
        Plan forced = FullSite.output(FullSite.PLAN, "radio", output -> output.withTestForce(TestForce.CLOSED));
        assertEquals(WhyNot.of(forced, calm, "radio"), Optional.of("a test force holds it"));
        Plan off = FullSite.output(FullSite.PLAN, "radio", output -> output.withMode(Mode.OFF));
        assertEquals(WhyNot.of(off, calm, "radio"), Optional.of("its mode is off"));
        Plan bare = FullSite.output(FullSite.PLAN, "radio", output -> output.withProtection(Optional.empty()));
        assertEquals(WhyNot.of(bare, calm, "radio"), Optional.of("its mode is on and nothing guards it"));
        Plan high = FullSite.protection(
                FullSite.protection(FullSite.PLAN, "radio", "lvrVolts", 30.0), "radio", "lvdVolts", 29.9);
        assertEquals(WhyNot.of(high, run(high), "radio"), Optional.empty(), "it did move");
    }
}
