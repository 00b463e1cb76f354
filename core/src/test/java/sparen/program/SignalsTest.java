package sparen.program;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.program.NamedSignal.Kind;
import sparen.program.rule.RemoteRequest;
import sparen.quantity.Fields;
import sparen.site.ChargeController;

/** What a signal is, is said once and not read from its name: a thing that is called "charge" is no state of charge. */
public class SignalsTest {
    private static final String CONTROLLER =
            FullSite.PLAN.site().controllers().get(0).id();

    /** A site whose controller is called charge-controller, and a request charge-now. */
    private static Plan misleading() {
        String text = "charge-controller";
        ChargeController controller = FullSite.PLAN.site().controllers().get(0);
        Plan plan = Fields.withAt(
                FullSite.PLAN,
                "program/outputs/" + FullSite.PLAN.program().outputs().get(0).id() + "/automatic",
                new RemoteRequest("charge-now", 3600));
        return Fields.withAt(plan, "site/controllers/" + controller.id() + "/name", text);
    }

    private static NamedSignal signal(Plan plan, int number) {
        return Surroundings.of(plan).signals().all().get(number);
    }

    @DataProvider
    private Object[][] kinds() {
        Plan plan = misleading();
        Surroundings around = Surroundings.of(plan);
        double volts = plan.site().nominalVolts();
        double floats = plan.program().charging().stream()
                .mapToDouble(ChargeProgram::floatVolts)
                .max()
                .orElseThrow();
        return new Object[][] {
            {around.regulationVolts(CONTROLLER), "regulation charge-controller", "V", 1, floats, Math.round(0.7 * volts)
            },
            {around.stage(CONTROLLER), "stage charge-controller", "", 1, 2, 0},
            {around.request("charge-now"), "request charge-now", "", 1, 0, 0},
            {around.reportedCharge(plan.site().monitors().get(0).id()), null, "%", 100, 1, 0},
            {sparen.logic.Signal.AIR_CELSIUS, "cabinet temperature", "°C", 1, 20, -30},
            {sparen.logic.Signal.LOCAL_HOUR, "clock", "h", 1, 12, 0},
        };
    }

    @Test(dataProvider = "kinds")
    public void saysWhatItIs(int number, String name, String unit, double times, double rest, double least) {
        NamedSignal found = signal(misleading(), number);
        Optional.ofNullable(name).ifPresent(wanted -> assertEquals(found.name(), wanted));
        assertEquals(found.unit(), unit);
        assertEquals(found.shownTimes(), times);
        assertEquals(found.rest(), rest);
        assertEquals(found.least(), (double) least);
    }

    /** Each has an id of its own, a number that rules find it by, and rests between its ends. */
    @Test
    public void eachIsThereOnce() {
        Surroundings around = Surroundings.of(FullSite.PLAN);
        List<NamedSignal> all = around.signals().all();
        assertEquals(
                all.stream().map(NamedSignal::id).collect(Collectors.toSet()).size(), all.size());
        for (Output output : FullSite.PLAN.program().outputs()) {
            assertEquals(all.get(around.contact(output.id())).kind(), Kind.CONTACT);
            assertEquals(all.get(around.ownHour(output.id())).kind(), Kind.DEVICE_HOUR);
        }
        for (NamedSignal one : all) {
            assertTrue(one.rest() >= one.least() && one.rest() <= one.most(), one.toString());
        }
    }
}
