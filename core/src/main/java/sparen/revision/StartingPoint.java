package sparen.revision;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.program.AcProgram;
import sparen.program.ChargeDetails;
import sparen.program.ChargeDetails.AbsorptionEnd;
import sparen.program.ChargeProgram;
import sparen.program.Mode;
import sparen.program.Origin;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Program;
import sparen.program.Rule;
import sparen.program.TestForce;
import sparen.program.rule.GeneratorStart;
import sparen.program.rule.LowBatterySignal;
import sparen.program.rule.SurplusBySoc;
import sparen.program.rule.VentilationByGassing;
import sparen.program.rule.VoltageDisconnect;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.site.Chemistry;
import sparen.site.Load;
import sparen.site.Location;
import sparen.site.Site;

/**
 * The little that is known of a site at first, from which a complete plan is made, to be adapted: sensible levels for its battery, and
 * no danger or caution in it. Numbers nobody has told are usual ones (common practice, no source) or guesses, and marked so.
 *
 * @param name what the crew calls the site
 * @param location where it is
 * @param nominalVolts 12, 24, 36 or 48 V
 * @param chemistry of the battery; not a table
 * @param capacityAmpereHours (Ah), 1 to 100,000
 * @param arrayWatts at standard test conditions (W), 10 to 1,000,000; 0 for no array where a feeder, a generator or an alternator charges
 * @param inverter whether there is an inverter with a charger
 * @param generator whether a generator can charge through it
 * @param feeder whether a feeder from a grid comes to it
 * @param surplusLoad whether there is a load that takes surplus
 * @param moves whether it is on wheels or afloat, and not always turned to the sun; absent for one that stands
 * @param alternatorWatts what an alternator brings through a converter while it moves (W), 50 to 20,000; absent for none
 */
public record StartingPoint(
        String name,
        Location location,
        double nominalVolts,
        Chemistry chemistry,
        double capacityAmpereHours,
        double arrayWatts,
        boolean inverter,
        boolean generator,
        boolean feeder,
        boolean surplusLoad,
        Optional<Boolean> moves,
        Optional<Double> alternatorWatts) {
    private static final List<Double> VOLTAGES = List.of(12.0, 24.0, 36.0, 48.0);

    public StartingPoint {
        Bounds.name("name", name);
        Bounds.present("location", location);
        Bounds.present("chemistry", chemistry);
        Bounds.within("capacityAmpereHours", capacityAmpereHours, 1, 100_000);
        moves = Bounds.orEmpty(moves);
        alternatorWatts = Bounds.optional("alternatorWatts", alternatorWatts, 50, 20_000);
        boolean hasOther = feeder || generator || alternatorWatts.isPresent();
        Bounds.within("arrayWatts", arrayWatts, hasOther ? 0 : 10, 1_000_000);
        if (arrayWatts > 0) {
            Bounds.within("arrayWatts", arrayWatts, 10, 1_000_000);
        }
        if (!VOLTAGES.contains(nominalVolts)) {
            throw new InvalidQuantity(
                    "nominalVolts", Bounds.number(nominalVolts) + " V is not one of " + VOLTAGES + " V");
        }
        if (chemistry == Chemistry.USER_TABLE) {
            throw new InvalidQuantity("chemistry", "a battery by its table is imported as a document");
        }
        if (generator && !inverter) {
            throw new InvalidQuantity("generator", "it charges through an inverter; there is none");
        }
        if (alternatorWatts.isPresent() && !moves.orElse(false)) {
            throw new InvalidQuantity("alternatorWatts", "it charges while the site moves; this one stands");
        }
        if (feeder && !inverter) {
            throw new InvalidQuantity("feeder", "it comes to an inverter; there is none");
        }
    }

    boolean isMobile() {
        return moves.orElse(false);
    }

    private double sets() {
        return nominalVolts / 12;
    }

    boolean hasSun() {
        return arrayWatts > 0;
    }

    int cells() {
        int of12 = chemistry.isLeadAcid() ? 6 : chemistry == Chemistry.NMC ? 3 : 4;
        return (int) Math.round(of12 * sets());
    }

    /** A level of a cell as one of the bank (V), to a tenth. */
    double bank(double flooded, double sealed, double ironPhosphate, double nmc) {
        double cell =
                switch (chemistry) {
                    case FLOODED -> flooded;
                    case AGM, GEL -> sealed;
                    case LITHIUM_IRON_PHOSPHATE -> ironPhosphate;
                    default -> nmc;
                };
        return Math.round(cell * cells() * 10) / 10.0;
    }

    /** The plan. */
    public Plan plan() {
        Site site = StartingSite.of(this);
        List<Output> outputs = outputs();
        List<ChargeProgram> charging = new ArrayList<>();
        if (hasSun()) {
            charging.add(charging("controller"));
        }
        if (inverter) {
            charging.add(charging("inverter"));
        }
        Optional<AcProgram> ac = inverter
                ? Optional.of(AcProgram.PLAIN
                        .withInputLimitAmperes(StartingSite.inputAmperes(this))
                        .withToAcVolts(bank(2.0, 2.01, 3.23, 3.58))
                        .withToBatteryVolts(bank(2.1, 2.12, 3.32, 3.74))
                        .withLevelDelaySeconds(300))
                : Optional.empty();
        return new Plan(site, new Program(charging, outputs, ac), origins(site, outputs));
    }

    private List<Output> outputs() {
        List<Output> outputs = new ArrayList<>();
        outputs.add(output(
                "loads",
                "Load disconnect",
                null,
                new VoltageDisconnect("battery", bank(1.93, 1.94, 3.16, 3.45), 30, bank(2.1, 2.12, 3.31, 3.74), 300),
                "essential"));
        outputs.add(output(
                "comfort",
                "Comfort loads",
                null,
                new VoltageDisconnect("battery", bank(1.98, 1.99, 3.21, 3.55), 30, bank(2.12, 2.14, 3.33, 3.78), 600),
                "comfort"));
        outputs.add(output(
                "warning",
                "Low-battery signal",
                new LowBatterySignal("battery", bank(2.0, 2.01, 3.23, 3.58), 60, bank(2.1, 2.12, 3.32, 3.74), 600),
                null));
        if (chemistry == Chemistry.FLOODED) {
            Rule vented = new VentilationByGassing("battery", bank(2.35, 0, 0, 0), Optional.empty(), 1, 300, 900);
            outputs.add(output("vent", "Battery room fan", vented, null, "fan"));
        }
        if (surplusLoad) {
            Rule surplus = new SurplusBySoc("monitor", 96, 300, 90, 60);
            outputs.add(output("surplus", "Surplus load", surplus, null, "surplus-load"));
        }
        if (generator) {
            Rule start = new GeneratorStart("monitor", 30, 120, 80, 60, 1800, 22, 7, List.of());
            outputs.add(output("start", "Generator start", start, null, "generator"));
        }
        return outputs;
    }

    private ChargeProgram charging(String charger) {
        double share = chemistry.isLithium() ? 0.03 : 0.02;
        ChargeDetails details = ChargeDetails.NONE.withAbsorptionEnd(Optional.of(new AbsorptionEnd(
                Optional.of(Math.max(0.1, capacityAmpereHours * share)),
                AbsorptionEnd.Whose.NET_AT_SHUNT,
                1200,
                AbsorptionEnd.InCloud.PAUSES,
                Optional.empty())));
        details = chemistry.isLithium()
                ? details.withTemperatureLimits(Optional.of(new ChargeDetails.TemperatureLimits(4, 45, 2)))
                : details.withCompensation(Optional.of(
                        new ChargeDetails.Compensation(-0.004, bank(2.53, 2.45, 0, 0), bank(2.2, 2.2, 0, 0), false)));
        return new ChargeProgram(
                charger,
                bank(2.4, 2.37, 3.5, 4.1),
                chemistry.isLithium() ? 3600 : 10_800,
                bank(2.25, 2.25, 3.35, 3.98),
                bank(2.1, 2.1, 3.28, 3.85),
                600,
                Optional.of(details));
    }

    private static Output output(String id, String name, Rule automatic, Rule protection, String... loads) {
        return new Output(
                id,
                name,
                List.of(loads),
                automatic == null ? Mode.ON : Mode.BY_RULE,
                Optional.ofNullable(automatic),
                Optional.ofNullable(protection),
                TestForce.NONE);
    }

    /** Levels are usual ones; what stands there is guessed until somebody has looked. */
    private static Map<String, Origin> origins(Site site, List<Output> outputs) {
        Origin guess = new Origin(Origin.Kind.GUESS, "not yet taken down");
        Origin usual = new Origin(Origin.Kind.COMMON_PRACTICE, "");
        Map<String, Origin> origins = new HashMap<>();
        origins.put("site/battery/startStateOfCharge", guess);
        origins.put("site/mainCable", guess);
        site.dcSources().forEach(one -> origins.put("site/dcSources/" + one.id() + "/byClock", guess));
        for (Load load : site.loads()) {
            origins.put("site/loads/" + load.id() + "/consumption/watts", guess);
            origins.put("site/loads/" + load.id() + "/cable", guess);
        }
        origins.put("site/battery/lowestVolts", usual);
        origins.put("site/battery/highestVolts", usual);
        for (Output output : outputs) {
            output.protection().ifPresent(rule -> rule.levels()
                    .forEach(level ->
                            origins.put("program/outputs/" + output.id() + "/protection/" + level.field(), usual)));
        }
        return origins;
    }
}
