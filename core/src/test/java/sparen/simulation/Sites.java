package sparen.simulation;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Program;
import sparen.program.Rule;
import sparen.program.TestForce;
import sparen.program.rule.VoltageDisconnect;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.site.BatteryBank;
import sparen.site.BatteryTable;
import sparen.site.Cable;
import sparen.site.Chemistry;
import sparen.site.Consumption;
import sparen.site.CurrentSource;
import sparen.site.Load;
import sparen.site.Location;
import sparen.site.RcPair;
import sparen.site.SensePoint;
import sparen.site.Site;
import sparen.sun.DayType;
import sparen.sun.WeatherGenerator;

/** Small sites for tests. */
public final class Sites {
    public static final Location SUBARCTIC = new Location(65.2, 12.1, 20, "Europe/Oslo");
    public static final Instant START = Instant.parse("2026-11-02T00:00:00Z");

    private Sites() {}

    /** A circuit of a table battery, resistive loads with disconnects of their own, and a charging current. */
    public static final class Circuit {
        private final BatteryTable table;
        private final double ampereHours;
        private final double startCharge;
        private double cableOhms;
        private SensePoint.Place sensed = SensePoint.Place.BATTERY_TERMINALS;
        private List<CurrentSource> sources = List.of();
        private final List<Load> loads = new ArrayList<>();
        private final List<Output> outputs = new ArrayList<>();

        public Circuit(BatteryTable table, double ampereHours, double startCharge) {
            this.table = table;
            this.ampereHours = ampereHours;
            this.startCharge = startCharge;
        }

        public static BatteryTable table(
                List<Double> charges, List<Double> volts, double ohms, double rcOhms, double rcFarads) {
            return new BatteryTable(charges, volts, ohms, List.of(new RcPair(rcOhms, rcFarads, 0)));
        }

        public Circuit cable(double ohms, SensePoint.Place place) {
            cableOhms = ohms;
            sensed = place;
            return this;
        }

        public Circuit source(List<CurrentSource.Point> points) {
            sources = List.of(new CurrentSource("source", "source", points));
            return this;
        }

        public Circuit load(String id, double ohms, double lvd, double lvr, double delay) {
            return load(id, new Consumption.Resistance(ohms), new VoltageDisconnect("point", lvd, delay, lvr, delay));
        }

        public Circuit load(String id, Consumption consumption, Rule protection) {
            loads.add(new Load(id, id, false, consumption, Cable.measured(0)));
            outputs.add(new Output(
                    id, id, List.of(id), Mode.ON, Optional.empty(), Optional.of(protection), TestForce.NONE));
            return this;
        }

        public Plan plan() {
            double top = Collections.max(table.openCircuitVolts());
            BatteryBank bank = new BatteryBank(
                    "bench", Chemistry.USER_TABLE, 12, ampereHours, 20, 0, top * 2, startCharge, Optional.of(table));
            Site site = new Site(
                    "bench",
                    SUBARCTIC,
                    24,
                    bank,
                    Cable.measured(cableOhms),
                    List.of(),
                    List.of(),
                    sources,
                    loads,
                    List.of(new SensePoint("point", "sense point", sensed, 0)));
            return new Plan(site, new Program(List.of(), outputs), Map.of());
        }

        public RunResult run(double seconds) {
            return Simulation.run(scenario(plan(), seconds), new Window(0, seconds, 100));
        }
    }

    /** A plan from {@link #START} on under dull weather. */
    public static Scenario scenario(Plan plan, double seconds) {
        int minutes = (int) Math.ceil(seconds / 60);
        return new Scenario(
                plan,
                START,
                seconds,
                WeatherGenerator.generate(plan.site().location(), START, minutes, DayType.DULL, 5, 1),
                Map.of());
    }
}
