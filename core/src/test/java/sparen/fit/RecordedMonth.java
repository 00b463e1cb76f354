package sparen.fit;

import java.time.Instant;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import sparen.format.LoggerFile;
import sparen.program.ChargeProgram;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Program;
import sparen.program.TestForce;
import sparen.program.rule.VoltageDisconnect;
import sparen.result.Trace;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.site.Ageing;
import sparen.site.BatteryBank;
import sparen.site.Cable;
import sparen.site.ChargeController;
import sparen.site.Chemistry;
import sparen.site.Consumption;
import sparen.site.DailySpan;
import sparen.site.Load;
import sparen.site.Location;
import sparen.site.SensePoint;
import sparen.site.Site;
import sparen.site.SolarArray;
import sparen.sun.Climate;
import sparen.sun.WeatherGenerator;
import sparen.table.Meaning;

/** A month of a simulated 12 V site as a logger with faults of its own would have recorded it. */
public final class RecordedMonth {
    public static final Instant START = Instant.parse("2026-09-20T00:00:00Z");
    public static final int DAYS = 30;
    private static final Location PLACE = new Location(62, 17, 10, "UTC");
    private static final int PIECES = 3;

    private RecordedMonth() {}

    /** A gel bank of 200 Ah, 320 W of arrays, a transmitter all day, lamps in the evening and a pump now and then. */
    public static Plan plan(Optional<Ageing> ageing) {
        BatteryBank bank = new BatteryBank("bank", Chemistry.GEL, 6, 200, 20, 10.5, 14.6, 0.9, Optional.empty())
                .withAgeing(ageing);
        Site site = new Site(
                "recorded",
                PLACE,
                12,
                bank,
                Cable.measured(0.001),
                List.of(new SolarArray("array", "array", 320, 60, 180, -0.004, 45, 0.05)),
                List.of(new ChargeController(
                        "controller", "controller", List.of("array"), 25, 0.97, 0.3, Cable.measured(0.001))),
                List.of(),
                List.of(
                        load("transmitter", new Consumption.ConstantPower(14)),
                        load("lamps", scheduled(45, 17, 22)),
                        load("pump", scheduled(110, 2, 2.5))),
                List.of(new SensePoint("point", "point", SensePoint.Place.BATTERY_TERMINALS, 0)));
        Output radio = new Output(
                "radio-output",
                "radio",
                List.of("transmitter"),
                Mode.ON,
                Optional.empty(),
                Optional.of(new VoltageDisconnect("point", 11.3, 60, 12.6, 300)),
                TestForce.NONE);
        return new Plan(
                site,
                new Program(List.of(new ChargeProgram("controller", 14.2, 7200, 13.6, 12.8, 120)), List.of(radio)),
                Map.of());
    }

    private static Consumption scheduled(double watts, double from, double to) {
        return new Consumption.Scheduled(
                List.of(new Consumption.Entry(watts, new DailySpan(from, to, List.of(), List.of()))));
    }

    private static Load load(String id, Consumption consumption) {
        return new Load(id, id, false, consumption, Cable.measured(0.002));
    }

    /** Its true voltages and currents, minute by minute. */
    public static LoggerFile truth(Plan plan, long seed) {
        int minutes = DAYS * 1440;
        Scenario scenario = new Scenario(
                plan,
                START,
                minutes * 60.0,
                WeatherGenerator.generate(PLACE, START, minutes, Climate.atLatitude(62), seed),
                Map.of());
        Simulation.Recorded run = Simulation.prepare(scenario).record(Simulation.Watch.NONE);
        double[] seconds = new double[minutes];
        double[] volts = new double[minutes];
        double[] amperes = new double[minutes];
        double[] celsius = new double[minutes];
        double[] charge = new double[minutes];
        for (int piece = 0; piece < PIECES; piece++) {
            int from = piece * minutes / PIECES;
            int count = minutes / PIECES;
            Trace trace = run.recording().trace(new Window(from * 60.0, (from + count) * 60.0, count));
            for (int i = 0; i < count; i++) {
                int at = from + i;
                seconds[at] = START.getEpochSecond() + 60.0 * at;
                volts[at] = (trace.lowBatteryVolts()[i] + trace.highBatteryVolts()[i]) / 2;
                amperes[at] = (trace.toBatteryWatts()[i] - trace.fromBatteryWatts()[i]) / volts[at];
                celsius[at] = trace.batteryCelsius()[i];
                charge[at] = trace.lowStateOfCharge()[i];
            }
        }
        Map<Meaning, double[]> columns = new EnumMap<>(Meaning.class);
        columns.put(Meaning.BATTERY_VOLTS, volts);
        columns.put(Meaning.BATTERY_AMPERES, amperes);
        columns.put(Meaning.BATTERY_CELSIUS, celsius);
        columns.put(Meaning.CHARGE, charge);
        return new LoggerFile(seconds, columns, new LinkedHashMap<>(), List.of());
    }

    /** As a logger has it: 10 mV of noise, a shunt of 1 % that is off by 0.1 A at most, and the eleventh day missing. */
    public static LoggerFile recorded(LoggerFile truth, long seed) {
        Random random = new Random(seed);
        double gain = 1 + 0.01 * (2 * random.nextDouble() - 1);
        double offset = 0.1 * (2 * random.nextDouble() - 1);
        int kept = truth.lines() - 1440;
        double[] seconds = new double[kept];
        Map<Meaning, double[]> columns = new EnumMap<>(Meaning.class);
        truth.columns().forEach((meaning, values) -> columns.put(meaning, new double[kept]));
        int at = 0;
        for (int i = 0; i < truth.lines(); i++) {
            if (i / 1440 == 10) {
                continue;
            }
            seconds[at] = truth.seconds()[i];
            for (Meaning meaning : columns.keySet()) {
                double value = truth.columns().get(meaning)[i];
                columns.get(meaning)[at] = switch (meaning) {
                    case BATTERY_VOLTS -> value + 0.01 * random.nextGaussian();
                    case BATTERY_AMPERES -> value * gain + offset;
                    default -> value;
                };
            }
            at++;
        }
        return new LoggerFile(seconds, columns, Map.of(), List.of());
    }
}
