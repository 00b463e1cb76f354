package sparen.standin;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicReference;
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
 * else is stored it goes on from the charge there is, as soon as that run is there; timers and contacts begin anew then.
 */
final class SiteModel implements AutoCloseable {
    private static final int DAYS = 3;
    private static final int MINUTES = DAYS * 24 * 60;

    private final Clock clock;
    private final double times;
    /** One after the other, and beside the answers: a device says that it has saved and lets nobody wait for the weather. */
    private final ExecutorService ahead = Executors.newSingleThreadExecutor();

    private volatile Run run;
    /** A run that was played to its end and for which the next is being made. */
    private final AtomicReference<Run> ended = new AtomicReference<>();

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

    /**
     * A run that is played back.
     *
     * @param began when by the clock
     * @param begins when at the site
     * @param closed share of each minute, by output
     */
    private record Run(Plan plan, Instant began, Instant begins, Trace trace, Map<String, double[]> closed) {}

    /** @param times how much faster its time goes */
    SiteModel(Plan plan, Clock clock, double times) {
        this.clock = clock;
        this.times = times;
        run = run(plan, clock.instant(), plan.site().battery().startStateOfCharge());
    }

    /** Goes on with what is stored in its devices now. */
    void program(Plan stored) {
        ahead.execute(() -> {
            try {
                run = run(stored, instant(), now().stateOfCharge());
            } catch (InvalidQuantity impossible) {
                // A device can hold what no plan may.
                System.out.println("the site goes on as it was: " + impossible.getMessage());
            }
        });
    }

    @Override
    public void close() {
        ahead.shutdownNow();
    }

    /** Time at the site. */
    Instant instant() {
        return instant(run);
    }

    private Instant instant(Run of) {
        double seconds = Duration.between(of.began(), clock.instant()).toMillis() / 1000.0 * times;
        return of.begins().plusSeconds((long) seconds);
    }

    /** What there is now. */
    Moment now() {
        Run played = run;
        long minute = Duration.between(played.begins(), instant(played)).toMinutes();
        if (minute >= MINUTES && ended.getAndSet(played) != played) {
            program(played.plan());
        }
        return moment(played, (int) Math.min(minute, MINUTES - 1));
    }

    private static Moment moment(Run played, int minute) {
        Trace trace = played.trace();
        double volts = trace.lowBatteryVolts()[minute];
        double into = trace.toBatteryWatts()[minute] - trace.fromBatteryWatts()[minute];
        double used = trace.usedWatts()[minute] + trace.divertedWatts()[minute];
        Map<String, Boolean> contacts = new TreeMap<>();
        played.closed().forEach((output, closed) -> contacts.put(output, closed[minute] > 0.5));
        return new Moment(
                volts,
                into / volts,
                trace.lowStateOfCharge()[minute],
                Math.max(0, used + into - trace.acSourceWatts()[minute]),
                used,
                contacts);
    }

    private Run run(Plan plan, Instant from, double charge) {
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
        Map<String, double[]> closed = new TreeMap<>();
        for (OutputFigures output : recorded.result().outputs()) {
            closed.put(output.output(), output.closedShares(whole, MINUTES * 60.0));
        }
        return new Run(plan, clock.instant(), from, recorded.recording().trace(whole), closed);
    }
}
