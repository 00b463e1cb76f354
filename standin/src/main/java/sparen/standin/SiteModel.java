package sparen.standin;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import sparen.program.Plan;
import sparen.quantity.InvalidQuantity;
import sparen.result.OutputFigures;
import sparen.result.Trace;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.simulation.Simulation.Prepared;
import sparen.sun.Climate;
import sparen.sun.WeatherGenerator;

/**
 * The site that the devices stand at, in accelerated time: a run of what is stored in them, played back minute by minute. When something
 * else is stored it goes on from the charge there is; timers and contacts begin anew then.
 */
final class SiteModel {
    private static final int DAYS = 3;
    private static final int MINUTES = DAYS * 24 * 60;

    private final Clock clock;
    private final double times;
    private Plan plan;
    private Instant began;
    private Instant begins;
    private Trace trace;
    private Map<String, double[]> closed = Map.of();

    /**
     * What can be measured at one moment.
     *
     * @param closed whether each contact is closed, by output
     */
    record Moment(
            double batteryVolts,
            double batteryAmperes,
            double stateOfCharge,
            double arrayWatts,
            double loadWatts,
            Map<String, Boolean> closed) {}

    /** @param times how much faster its time goes */
    SiteModel(Plan plan, Clock clock, double times) {
        this.clock = clock;
        this.times = times;
        this.plan = plan;
        run(clock.instant(), plan.site().battery().startStateOfCharge());
    }

    /** Goes on with what is stored in its devices now. */
    synchronized void program(Plan stored) {
        double charge = now().stateOfCharge();
        Instant instant = instant();
        Plan before = plan;
        plan = stored;
        try {
            run(instant, charge);
        } catch (InvalidQuantity impossible) {
            // A device can hold what no plan may; its site goes on as it was.
            plan = before;
            run(instant, charge);
        }
    }

    /** Time at the site. */
    synchronized Instant instant() {
        double seconds = Duration.between(began, clock.instant()).toMillis() / 1000.0 * times;
        return begins.plusSeconds((long) seconds);
    }

    /** What there is now. */
    synchronized Moment now() {
        int minute = (int) Duration.between(begins, instant()).toMinutes();
        if (minute >= MINUTES) {
            run(instant(), trace.lowStateOfCharge()[MINUTES - 1]);
            minute = 0;
        }
        double volts = trace.lowBatteryVolts()[minute];
        double into = trace.toBatteryWatts()[minute] - trace.fromBatteryWatts()[minute];
        double used = trace.usedWatts()[minute] + trace.divertedWatts()[minute];
        Map<String, Boolean> contacts = new TreeMap<>();
        for (String output : new TreeSet<>(closed.keySet())) {
            contacts.put(output, closed.get(output)[minute] > 0.5);
        }
        return new Moment(
                volts,
                into / volts,
                trace.lowStateOfCharge()[minute],
                Math.max(0, used + into - trace.acSourceWatts()[minute]),
                used,
                contacts);
    }

    private void run(Instant from, double charge) {
        Plan started =
                plan.withSite(plan.site().withBattery(plan.site().battery().withStartStateOfCharge(charge)));
        Scenario scenario = new Scenario(
                started,
                from,
                MINUTES * 60.0,
                WeatherGenerator.generate(
                        plan.site().location(),
                        from,
                        MINUTES,
                        Climate.atLatitude(plan.site().location().latitudeDegrees()),
                        from.getEpochSecond()),
                Map.of());
        Prepared prepared = Simulation.prepare(scenario);
        Simulation.Recorded recorded = prepared.record(Simulation.Watch.NONE);
        Window whole = new Window(0, MINUTES * 60.0, MINUTES);
        trace = recorded.recording().trace(whole);
        closed = new TreeMap<>();
        for (OutputFigures output : recorded.result().outputs()) {
            closed.put(output.output(), output.closedShares(whole, MINUTES * 60.0));
        }
        began = clock.instant();
        begins = from;
    }
}
