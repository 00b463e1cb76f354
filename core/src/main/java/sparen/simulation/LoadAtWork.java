package sparen.simulation;

import java.util.OptionalDouble;
import sparen.result.LoadFigures;
import sparen.result.PartFigures.LoadPart;
import sparen.site.Load;

/** One load in one run: what it wants now, its start surge, and whether it waits for a hand after a loss of power. */
final class LoadAtWork implements Part {
    private static final double HAND_HOUR = 8;

    final Load load;
    final int feed;
    final int tank;
    private final StepInput pattern;
    private final double constantWatts;
    private final boolean isPower;
    final OptionalDouble fixedOhms;
    final OptionalDouble fixedAmperes;
    final double powerFactor;
    final int leg;
    private final double surgeFactor;
    private final double surgeSeconds;
    private double running;
    private boolean fed;
    private boolean waitsForHand;
    private double handAt = Double.POSITIVE_INFINITY;
    private double surgeUntil = Double.NEGATIVE_INFINITY;
    private double now;
    private double servedSeconds;
    private double countedAt;
    private int losses;

    /**
     * @param pattern what it would draw over the run, null for the same all the time
     * @param nominalVolts for the power of a resistance and of a constant current (V)
     * @param feed number of the bus it hangs on
     * @param tank number of the tank it heats, −1 for none
     */
    LoadAtWork(Load load, StepInput pattern, double nominalVolts, int feed, int tank) {
        this.load = load;
        this.pattern = pattern;
        this.feed = feed;
        this.tank = tank;
        constantWatts = load.consumption().steadyWatts(nominalVolts);
        isPower = load.consumption().drawsGivenPower();
        fixedOhms = load.consumption().fixedOhms();
        fixedAmperes = load.consumption().fixedAmperes();
        powerFactor = load.powerFactor().orElse(1.0);
        leg = load.leg().orElse(1) - 1;
        surgeFactor = load.surge().map(Load.StartSurge::factor).orElse(1.0);
        surgeSeconds = load.surge().map(Load.StartSurge::seconds).orElse(0.0);
        running = constantWatts;
    }

    /**
     * Takes the pattern's value at an instant (s).
     *
     * @return whether what it draws may have changed
     */
    boolean moveTo(double seconds, LocalClock clock) {
        now = seconds;
        boolean changed = seconds == surgeUntil;
        if (surgeUntil <= seconds && surgeUntil > Double.NEGATIVE_INFINITY) {
            surgeUntil = Double.NEGATIVE_INFINITY;
            changed = true;
        }
        if (waitsForHand && seconds >= handAt) {
            countService();
            waitsForHand = false;
            changed = true;
        }
        if (pattern != null) {
            pattern.moveTo(seconds);
            double watts = pattern.value();
            if (watts != running) {
                if (watts > running && running == 0 && fed) {
                    beginSurge();
                }
                running = watts;
                changed = true;
            }
        }
        return changed;
    }

    private void beginSurge() {
        if (surgeSeconds > 0) {
            surgeUntil = now + surgeSeconds;
        }
    }

    /** Tells it whether its terminals have a voltage; when it is lost and comes back matters. */
    void feed(double seconds, boolean hasVoltage, boolean lostByFeed, LocalClock clock) {
        now = seconds;
        if (hasVoltage == fed) {
            return;
        }
        countService();
        fed = hasVoltage;
        if (!fed) {
            losses++;
            surgeUntil = Double.NEGATIVE_INFINITY;
            if (load.needsHand() && lostByFeed) {
                waitsForHand = true;
                int day = clock.moveTo(now);
                double today = clock.instant(day, HAND_HOUR);
                handAt = today > now ? today : clock.instant(day + 1, HAND_HOUR);
            }
        } else if (running > 0) {
            beginSurge();
        }
    }

    private void countService() {
        if (fed && !waitsForHand) {
            servedSeconds += now - countedAt;
        }
        countedAt = now;
    }

    /** What it draws now if it has a voltage (W); a resistance and a constant current at nominal voltage. */
    double watts() {
        return waitsForHand ? 0 : surgeUntil > now ? running * surgeFactor : running;
    }

    /** What it wants for its service now (W). */
    double wantedWatts() {
        return running;
    }

    /** Whether it draws a power that is given, and not by its voltage. */
    boolean isPower() {
        return isPower;
    }

    boolean isFed() {
        return fed;
    }

    boolean waitsForHand() {
        return waitsForHand;
    }

    @Override
    public double dueSeconds() {
        double next = pattern == null ? Double.POSITIVE_INFINITY : pattern.nextChange();
        if (surgeUntil > now) {
            next = Math.min(next, surgeUntil);
        }
        return waitsForHand ? Math.min(next, handAt) : next;
    }

    /** What it has counted so far. */
    LoadPart counted() {
        return new LoadPart(load.id(), Math.max(0, losses));
    }

    LoadFigures figures(double end) {
        now = end;
        countService();
        return new LoadFigures(load.id(), servedSeconds, Math.max(0, losses));
    }
}
