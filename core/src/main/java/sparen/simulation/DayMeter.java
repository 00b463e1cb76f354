package sparen.simulation;

import java.util.ArrayList;
import java.util.List;
import sparen.result.DayFigures;
import sparen.result.Ledger;

/** Cuts a run into local days. */
final class DayMeter {
    private final LocalClock clock;
    private final LedgerMeter ledger;
    private final List<double[]> snapshots = new ArrayList<>();
    private final List<double[]> extremes = new ArrayList<>();
    private double lowestCharge = Double.POSITIVE_INFINITY;
    private double highestCharge = Double.NEGATIVE_INFINITY;
    private double lowestVolts = Double.POSITIVE_INFINITY;

    DayMeter(LocalClock clock, LedgerMeter ledger) {
        this.clock = clock;
        this.ledger = ledger;
        snapshots.add(ledger.snapshot());
    }

    void look(double charge, double volts) {
        lowestCharge = Math.min(lowestCharge, charge);
        highestCharge = Math.max(highestCharge, charge);
        lowestVolts = Math.min(lowestVolts, volts);
    }

    /** A local day has ended at this instant (s). */
    void endDay(double seconds) {
        close();
        clock.moveTo(seconds);
    }

    /** The run ends at this instant (s); a day that has just begun is none. */
    void endRun(double seconds) {
        if (lowestCharge < Double.POSITIVE_INFINITY && (snapshots.size() == 1 || seconds > dayStart())) {
            close();
        }
    }

    private double dayStart() {
        return clock.instant(snapshots.size() - 1, 0);
    }

    private void close() {
        snapshots.add(ledger.snapshot());
        extremes.add(new double[] {lowestCharge, highestCharge, lowestVolts});
        lowestCharge = Double.POSITIVE_INFINITY;
        highestCharge = Double.NEGATIVE_INFINITY;
        lowestVolts = Double.POSITIVE_INFINITY;
    }

    Ledger whole() {
        return ledger.places.between(snapshots.get(0), snapshots.get(snapshots.size() - 1));
    }

    List<DayFigures> days() {
        List<DayFigures> days = new ArrayList<>();
        for (int i = 0; i + 1 < snapshots.size(); i++) {
            var date = clock.dayOf(i).toLocalDate();
            days.add(new DayFigures(
                    date,
                    date.getMonthValue(),
                    Math.max(0, clock.instant(i, 0)),
                    ledger.places.between(snapshots.get(i), snapshots.get(i + 1)),
                    extremes.get(i)[0],
                    extremes.get(i)[1],
                    extremes.get(i)[2]));
        }
        return days;
    }
}
