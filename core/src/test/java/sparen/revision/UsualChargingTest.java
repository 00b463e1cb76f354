package sparen.revision;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Optional;
import org.testng.annotations.Test;
import sparen.program.ChargeDetails;
import sparen.program.ChargeProgram;
import sparen.program.FullSite;
import sparen.program.Plan;
import sparen.quantity.Fields;

/** What a charger's further settings begin with does no harm by itself. Numbers by hand; common practice, no source. */
public class UsualChargingTest {
    /** The charging that the plan has, with one usual group put in: none stops charging where the charger holds its own levels. */
    @Test
    public void noUsualValueStopsTheCharging() {
        Plan plan = FullSite.PLAN;
        UsualCharging.of(plan).forEach((charger, usual) -> {
            ChargeProgram charging = plan.program().charging().stream()
                    .filter(one -> one.controller().equals(charger))
                    .findFirst()
                    .orElseThrow();
            assertTrue(usual.overVoltage().orElseThrow().stopVolts() > charging.absorptionVolts(), usual.toString());
            assertTrue(usual.compensation().orElseThrow().ceilingVolts() >= charging.absorptionVolts());
            assertTrue(usual.compensation().orElseThrow().floorVolts() <= charging.floatVolts());
            assertTrue(usual.equalization().orElseThrow().volts() >= charging.absorptionVolts());
            assertTrue(usual.maximumAmperes().orElseThrow() >= 1, "no trickle");
            assertEquals(usual.startInFloatVolts(), Optional.of(charging.floatVolts()));
            for (String group : new String[] {"overVoltage", "compensation", "equalization", "maximumAmperes"}) {
                Object one = Fields.get(usual, group);
                Plan with = Fields.withAt(
                        plan,
                        "program/charging/" + charger + "/details",
                        Fields.with(charging.details().orElse(ChargeDetails.NONE), group, one));
                assertEquals(
                        with.program().charging().size(),
                        plan.program().charging().size());
            }
        });
    }

    /** 200 Ah of lithium take 0.5 C = 100 A, but its controller gives no more than it can; lead-acid 0.2 C. Cold stop 4 °C for lithium. */
    @Test
    public void lithiumIsNotChargedInTheCold() {
        Plan lithium = Fields.withAt(
                FullSite.PLAN, "site/battery", FullSite.LITHIUM.site().battery());
        UsualCharging.of(lithium).values().forEach(usual -> {
            assertEquals(usual.temperatureLimits().orElseThrow().coldCelsius(), 4.0);
            assertEquals(usual.compensation().orElseThrow().voltsPerKelvinPerCell(), 0.0);
        });
    }
}
