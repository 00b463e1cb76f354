package sparen.power;

import java.util.ArrayList;
import java.util.List;
import sparen.program.ChargeDetails;
import sparen.program.ChargeDetails.BmsRequests.WhenTalkStops;
import sparen.program.ChargeDetails.OverVoltage;
import sparen.result.Change;
import sparen.result.Fact;

/** What keeps a charger that has a source from charging: its enable, cold, heat, over-voltage, a battery that no longer talks. */
final class ChargeStops {
    /** Once stopped on over-voltage it does not charge before this (s); judgement, no source. */
    private static final double LEAST_STOP_SECONDS = 1;

    private enum Cause {
        ENABLE,
        COLD,
        HEAT,
        OVER_VOLTAGE,
        SILENCE
    }

    private final ChargeDetails details;
    private final boolean[] now = new boolean[Cause.values().length];
    private final boolean[] told = new boolean[Cause.values().length];
    private boolean hasNews;
    private double celsius;
    private double volts;
    private double lookedAt;
    private double stoppedUntil = Double.NEGATIVE_INFINITY;

    ChargeStops(ChargeDetails details) {
        this.details = details;
    }

    private boolean is(Cause cause) {
        return now[cause.ordinal()];
    }

    private void set(Cause cause, boolean stops) {
        now[cause.ordinal()] = stops;
        hasNews = false;
        for (int i = 0; i < now.length; i++) {
            hasNews |= now[i] != told[i];
        }
    }

    /** Its enable input, or the contact on its source's side. */
    void enable(boolean mayRun) {
        set(Cause.ENABLE, !mayRun);
    }

    boolean isEnabled() {
        return !is(Cause.ENABLE);
    }

    /** Takes the battery's temperature (°C). */
    void takeCelsius(double batteryCelsius) {
        celsius = batteryCelsius;
        if (details.temperatureLimits().isPresent()) {
            var limits = details.temperatureLimits().get();
            set(Cause.COLD, celsius < limits.coldCelsius() + (is(Cause.COLD) ? limits.hysteresisKelvin() : 0));
            set(Cause.HEAT, celsius > limits.hotCelsius() - (is(Cause.HEAT) ? limits.hysteresisKelvin() : 0));
        }
    }

    void takeTalk(boolean talks) {
        set(
                Cause.SILENCE,
                !talks
                        && details.bms()
                                .map(bms -> bms.whenTalkStops() == WhenTalkStops.STOP)
                                .orElse(false));
    }

    /** Looks at the voltage at its terminals (V) at an instant (s). */
    void settle(double seconds, double terminalVolts) {
        lookedAt = seconds;
        volts = terminalVolts;
        if (details.overVoltage().isEmpty()) {
            return;
        }
        OverVoltage over = details.overVoltage().get();
        boolean stopped = is(Cause.OVER_VOLTAGE);
        boolean stops = stopped ? seconds < stoppedUntil || volts > over.releaseVolts() : volts >= over.stopVolts();
        if (stops && !stopped) {
            stoppedUntil = seconds + LEAST_STOP_SECONDS;
        }
        set(Cause.OVER_VOLTAGE, stops);
    }

    /** Whether something stops it. */
    boolean stop() {
        boolean stops = false;
        for (boolean one : now) {
            stops |= one;
        }
        return stops;
    }

    /** Whether something stops it, or no longer does, that has not been told. */
    boolean hasNews() {
        return hasNews;
    }

    /** What stops it, or no longer does, since it was last asked: each with its limit and what it reads. */
    List<Fact> takeNews() {
        List<Fact> news = new ArrayList<>();
        for (Cause cause : Cause.values()) {
            int i = cause.ordinal();
            if (now[i] != told[i]) {
                news.add(fact(cause, now[i]));
                told[i] = now[i];
            }
        }
        hasNews = false;
        return news;
    }

    private Fact fact(Cause cause, boolean stops) {
        return switch (cause) {
            case ENABLE -> Fact.of(stops ? Change.ENABLE_STOPS : Change.ENABLE_RELEASES);
            case COLD -> {
                var limits = details.temperatureLimits().orElseThrow();
                double back = limits.coldCelsius() + limits.hysteresisKelvin();
                yield stops
                        ? Fact.of(Change.COLD_STOPS, limits.coldCelsius(), celsius)
                        : Fact.of(Change.COLD_RELEASES, back, celsius);
            }
            case HEAT -> {
                var limits = details.temperatureLimits().orElseThrow();
                double back = limits.hotCelsius() - limits.hysteresisKelvin();
                yield stops
                        ? Fact.of(Change.HEAT_STOPS, limits.hotCelsius(), celsius)
                        : Fact.of(Change.HEAT_RELEASES, back, celsius);
            }
            case OVER_VOLTAGE -> {
                OverVoltage over = details.overVoltage().orElseThrow();
                yield stops
                        ? Fact.of(Change.OVER_VOLTAGE_STOPS, over.stopVolts(), volts)
                        : Fact.of(Change.OVER_VOLTAGE_RELEASES, over.releaseVolts(), volts);
            }
            case SILENCE ->
                stops
                        ? Fact.of(
                                Change.SILENCE_STOPS,
                                details.bms().orElseThrow().silentSeconds())
                        : Fact.of(Change.SILENCE_RELEASES);
        };
    }

    /** When it may look at the voltage again after an over-voltage (s). */
    double dueSeconds() {
        return is(Cause.OVER_VOLTAGE) && stoppedUntil > lookedAt ? stoppedUntil : Double.POSITIVE_INFINITY;
    }

    /** The lowest voltage (V) at which over-voltage changes nothing. */
    double lowestVolts() {
        return is(Cause.OVER_VOLTAGE)
                ? Math.nextUp(details.overVoltage().orElseThrow().releaseVolts())
                : Double.NEGATIVE_INFINITY;
    }

    /** The highest such voltage (V). */
    double highestVolts() {
        return is(Cause.OVER_VOLTAGE) || details.overVoltage().isEmpty()
                ? Double.POSITIVE_INFINITY
                : Math.nextDown(details.overVoltage().get().stopVolts());
    }
}
