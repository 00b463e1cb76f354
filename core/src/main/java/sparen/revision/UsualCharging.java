package sparen.revision;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import sparen.program.ChargeDetails;
import sparen.program.ChargeDetails.AbsorptionEnd;
import sparen.program.ChargeDetails.BmsRequests;
import sparen.program.ChargeDetails.Compensation;
import sparen.program.ChargeDetails.Equalization;
import sparen.program.ChargeDetails.OverVoltage;
import sparen.program.ChargeDetails.RepeatAbsorption;
import sparen.program.ChargeDetails.TemperatureLimits;
import sparen.program.ChargeProgram;
import sparen.program.Plan;
import sparen.program.rule.Usual;
import sparen.quantity.Standard;
import sparen.site.Chemistry;
import sparen.site.Site;

/**
 * What a setting that only some chargers have usually begins with, for this battery and this charger: a start for a technician's own, to
 * be confirmed by the battery's maker. Never a number that does harm by itself. Common practice, no source.
 */
public final class UsualCharging {
    private static final double LITHIUM_RATE = 0.5;
    private static final double LEAD_ACID_RATE = 0.2;
    private static final double LITHIUM_TAIL = 0.03;
    private static final double LEAD_ACID_TAIL = 0.02;
    private final Site site;
    private final ChargeProgram charging;

    private UsualCharging(Site site, ChargeProgram charging) {
        this.site = site;
        this.charging = charging;
    }

    /** For each charger that has setpoints, by its id. */
    public static Map<String, ChargeDetails> of(Plan plan) {
        Map<String, ChargeDetails> usual = new LinkedHashMap<>();
        for (ChargeProgram charging : plan.program().charging()) {
            usual.put(charging.controller(), new UsualCharging(plan.site(), charging).details());
        }
        return usual;
    }

    private boolean isLithium() {
        Chemistry chemistry = site.battery().chemistry();
        return chemistry.isLithium();
    }

    private ChargeDetails details() {
        double capacity = site.battery().capacityAmpereHours();
        double tail = Math.max(0.1, capacity * (isLithium() ? LITHIUM_TAIL : LEAD_ACID_TAIL));
        double absorption = charging.absorptionVolts();
        double stop = Math.max(Usual.overVoltage(site), Math.round(absorption * 10.2) / 10.0);
        return new ChargeDetails(
                Optional.of(tidy(Math.min(capacity * (isLithium() ? LITHIUM_RATE : LEAD_ACID_RATE), mostAmperes()))),
                Optional.of(new AbsorptionEnd(
                        Optional.of(tidy(tail)),
                        AbsorptionEnd.Whose.NET_AT_SHUNT,
                        1200,
                        AbsorptionEnd.InCloud.PAUSES,
                        Optional.of(2.0))),
                Optional.of(equalization()),
                Optional.of(compensation(stop)),
                Optional.of(new TemperatureLimits(isLithium() ? 4 : -20, 45, 2)),
                Optional.of(new OverVoltage(stop, Math.min(stop, charging.floatVolts()))),
                Optional.of(new RepeatAbsorption(7, Standard.HOUR)),
                Optional.of(ChargeDetails.After.FLOAT),
                Optional.of(charging.floatVolts()),
                Optional.of(10 * Standard.HOUR),
                Optional.of(charging.rechargeVolts()),
                Optional.of(new BmsRequests(BmsRequests.WhenTalkStops.STOP, 60)),
                Optional.of(false));
    }

    /** Lead-acid: 2.58 V a cell for two thirds of the absorption time, about monthly; lithium is not equalized: its absorption level. */
    private Equalization equalization() {
        double seconds = Math.round(charging.absorptionSeconds() * 2 / 3);
        double lifted = Math.round(site.battery().cellsInSeries() * 25.8) / 10.0;
        double volts = isLithium() ? charging.absorptionVolts() : Math.max(charging.absorptionVolts(), lifted);
        return new Equalization(volts, seconds, 35, Math.max(seconds, 4 * Standard.HOUR));
    }

    private Compensation compensation(double stop) {
        double floor = Math.min(stop, charging.floatVolts());
        return new Compensation(isLithium() ? 0 : -0.004, stop, tidy(floor * 0.98), false);
    }

    /** What the charger's own hardware gives (A). */
    private double mostAmperes() {
        return site.controllers().stream()
                .filter(one -> one.id().equals(charging.controller()))
                .mapToDouble(one -> one.maximumAmperes())
                .findFirst()
                .orElseGet(() -> site.inverter()
                        .flatMap(one -> one.charger())
                        .map(one -> one.maximumAmperes())
                        .orElse(Double.POSITIVE_INFINITY));
    }

    private static double tidy(double value) {
        return Math.max(0.1, Math.round(value * 10) / 10.0);
    }
}
