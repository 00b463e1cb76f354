package sparen.examined;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import sparen.battery.BatteryModel;
import sparen.format.Profile;
import sparen.program.ChargeProgram;
import sparen.program.Level;
import sparen.program.Origin;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Program;
import sparen.program.Rule;
import sparen.program.Surroundings;
import sparen.quantity.Standard;
import sparen.setting.DeviceSettings;
import sparen.setting.Setting;
import sparen.site.BatteryBank;
import sparen.site.ChargeController;
import sparen.site.Inverter;
import sparen.site.ParallelBattery;
import sparen.site.SensePoint;
import sparen.site.Site;
import sparen.sun.Climate;

/** A plan with what several checks need of it, worked out once. */
public final class PlanFacts {
    /** A cold night is so far below the mean of the coldest month (K); judgement, no source. */
    private static final double COLD_NIGHT_KELVIN = 12;

    private final Plan plan;
    private final Plan wanted;
    private final List<Setting> settings;
    private final Map<String, Profile> profiles;
    private final List<LevelOfOutput> levels = new ArrayList<>();
    private final BatteryModel battery;
    private double coldestMonth = Double.NaN;

    /**
     * A level where it stands.
     *
     * @param slot automatic or protection
     */
    public record LevelOfOutput(Output output, String slot, Rule rule, Level level) {
        /** Path of its field. */
        public String path() {
            return PlanFacts.path(output, slot, level.field());
        }

        /** The level's value (V or %). */
        public double value() {
            return level.value();
        }
    }

    public PlanFacts(Plan plan, Map<String, Profile> profiles) {
        wanted = plan;
        settings = DeviceSettings.of(plan);
        this.plan = DeviceSettings.asSet(plan, settings);
        this.profiles = profiles;
        battery = BatteryModel.of(plan.site().battery());
        rules().forEach(at -> at.rule().levels().stream()
                .filter(level -> level.value() > 0)
                .forEach(level -> levels.add(new LevelOfOutput(at.output(), at.slot(), at.rule(), level))));
    }

    /** The plan as the devices that carry it hold it. */
    public Plan plan() {
        return plan;
    }

    /** The plan as it is written, before any device has rounded it. */
    public Plan asWanted() {
        return wanted;
    }

    /** What is entered in the devices that carry it, device by device. */
    public List<Setting> settings() {
        return settings;
    }

    /** The consumption profiles that its loads name. */
    public Map<String, Profile> profiles() {
        return profiles;
    }

    public Site site() {
        return plan.site();
    }

    public Program program() {
        return plan.program();
    }

    public List<Output> outputs() {
        return plan.program().outputs();
    }

    Surroundings surroundings() {
        return Surroundings.of(plan);
    }

    /** Path of a field of a rule. */
    public static String path(Output output, String slot, String field) {
        return "program/outputs/" + output.id() + "/" + slot + "/" + field;
    }

    /** All rules with the outputs they stand at. */
    public Stream<LevelOfOutput> rules() {
        return outputs().stream()
                .flatMap(output -> Stream.concat(
                        output.automatic().stream().map(rule -> new LevelOfOutput(output, "automatic", rule, null)),
                        output.protection().stream().map(rule -> new LevelOfOutput(output, "protection", rule, null))));
    }

    /** All levels with one of these roles. */
    public Stream<LevelOfOutput> levels(Level.Role... roles) {
        Set<Level.Role> wanted = Set.copyOf(Arrays.asList(roles));
        return levels.stream().filter(placed -> wanted.contains(placed.level().role()));
    }

    /** The level of the same rule with one of these roles. */
    public Optional<LevelOfOutput> partner(LevelOfOutput of, Level.Role... roles) {
        return levels(roles)
                .filter(other -> other.output() == of.output() && other.slot().equals(of.slot()))
                .findFirst();
    }

    /** A level of voltage without its sense point's offset (V). */
    public double trueVolts(LevelOfOutput placed) {
        return placed.value() - point(placed).map(SensePoint::offsetVolts).orElse(0.0);
    }

    /** The sense point a level reads at; empty for one that is a state of charge. */
    public Optional<SensePoint> point(LevelOfOutput placed) {
        return placed.level().sensePoint().map(site()::sensePoint);
    }

    /** Whether a level reads at the terminals of the battery itself. */
    public boolean isAtBattery(LevelOfOutput placed) {
        return point(placed)
                .map(point -> point.place() == SensePoint.Place.BATTERY_TERMINALS)
                .orElse(false);
    }

    /** What is known of where the number at a path comes from. */
    public String origin(String path) {
        Origin origin = plan.origins().get(path);
        if (origin == null) {
            return "";
        }
        String kind = origin.kind().name().toLowerCase(Locale.ROOT).replace('_', ' ');
        return origin.note().isEmpty() ? kind : kind + ": " + origin.note();
    }

    public BatteryModel battery() {
        return battery;
    }

    public BatteryBank bank() {
        return plan.site().battery();
    }

    /** The most that all loads behind a contact draw from the main bus at a voltage (A). */
    public double worstAmperes(Output output, double volts) {
        return output.loads().stream()
                .mapToDouble(device -> WorstDraw.amperes(site(), device, volts, profiles))
                .sum();
    }

    public double worstAmperes(String device, double volts) {
        return WorstDraw.amperes(site(), device, volts, profiles);
    }

    /** The most that all loads on the main bus draw together at a voltage (A). */
    public double worstAmperesOfAll(double volts) {
        double direct = site().loads().stream()
                .filter(load -> load.feed().isEmpty() && !load.diverts())
                .mapToDouble(load -> worstAmperes(load.id(), volts))
                .sum();
        double converters = site().converters().stream()
                .mapToDouble(converter -> worstAmperes(converter.id(), volts))
                .sum();
        return direct
                + converters
                + site().inverter()
                        .map(inverter -> inverterAmperes(inverter, volts))
                        .orElse(0.0);
    }

    /** The most that an inverter draws at a voltage, no more than it can carry (A). */
    public double inverterAmperes(Inverter inverter, double volts) {
        return Math.min(worstAmperes(inverter.id(), volts), inverter.dcWatts(inverter.continuousWatts()) / volts);
    }

    /** Worst draw of something on the AC side or of a load (W). */
    public double worstWatts(String load) {
        return WorstDraw.watts(site(), load, profiles);
    }

    /** The most that all sources without a regulation of their own give (W): those by a profile; one by the clock stops at its voltage. */
    public double dcSourceWatts() {
        return site().dcSources().stream()
                .flatMap(source -> source.profile().stream())
                .map(profiles::get)
                .filter(Objects::nonNull)
                .mapToDouble(Profile::highestWatts)
                .sum();
    }

    public double mainCableOhms() {
        return site().mainCable().loopOhms(Standard.ROOM_CELSIUS);
    }

    /** The charging program of a charger. */
    public ChargeProgram charging(String charger) {
        return program().charging().stream()
                .filter(one -> one.controller().equals(charger))
                .findFirst()
                .orElseThrow();
    }

    /** The highest level that any charger ever regulates to (V). */
    public double highestRegulation() {
        return program().charging().stream()
                .mapToDouble(ChargeProgram::absorptionVolts)
                .max()
                .orElse(0);
    }

    /** The most a controller's own setting or hardware lets it give (A). */
    public double limitAmperes(ChargeController controller) {
        return Math.min(
                controller.maximumAmperes(),
                charging(controller.id())
                        .details()
                        .flatMap(details -> details.maximumAmperes())
                        .orElse(Double.POSITIVE_INFINITY));
    }

    /** What the arrays of a controller have at standard test conditions (W). */
    public double peakWatts(ChargeController controller) {
        return site().arrays().stream()
                .filter(array -> controller.arrays().contains(array.id()))
                .mapToDouble(array -> array.peakWatts() * (1 - array.lossFraction()))
                .sum();
    }

    /** Charge current that all batteries bear together (A), infinite where nothing is told. */
    public double chargeAmperesBorne() {
        double sum = 0;
        for (ParallelBattery one : bank().batteries()) {
            sum += one.bms().map(bms -> bms.chargeAmperes()).orElse(Double.POSITIVE_INFINITY);
        }
        return bank().batteries().isEmpty() ? Double.POSITIVE_INFINITY : sum;
    }

    /** Mean air temperature of the coldest month (°C), from the climate of the place. */
    public double coldestMonthCelsius() {
        if (Double.isNaN(coldestMonth)) {
            Climate climate = Climate.atLatitude(site().location().latitudeDegrees());
            coldestMonth = climate.coldestMonthCelsius();
        }
        return coldestMonth;
    }

    /** The coldest night to be expected outside (°C). */
    public double coldestAirCelsius() {
        return coldestMonthCelsius() - COLD_NIGHT_KELVIN;
    }

    /** By how much its heater can keep the battery above the air (K), 0 without one. */
    public double heaterKelvin() {
        return bank().enclosure()
                .flatMap(enclosure -> enclosure.heater().map(heater -> heater.watts() * enclosure.kelvinPerWatt()))
                .orElse(0.0);
    }

    /** How cold the battery is to be expected to become (°C): the coldest month behind its lag, with what its heater can hold. */
    public double coldestBatteryCelsius() {
        double outside = coldestMonthCelsius();
        return bank().enclosure()
                .flatMap(enclosure -> enclosure.heater())
                .map(heater -> Math.max(outside, Math.min(heater.onCelsius(), outside + heaterKelvin())))
                .orElse(outside);
    }
}
