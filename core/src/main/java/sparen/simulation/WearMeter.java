package sparen.simulation;

import java.util.Arrays;
import java.util.Optional;
import sparen.battery.Rainflow;
import sparen.output.OutputAtWork;
import sparen.program.rule.VentilationByGassing;
import sparen.quantity.Standard;
import sparen.result.BatteryFigures;

/** Gathers what wears a battery while a run goes on: turning points of the state of charge, and time spent where it should not be. */
final class WearMeter {
    /** Turning points closer than this are no cycle (fraction); judgement. */
    private static final double LEAST_RANGE = 0.005;

    /** So much gas a vented battery on float makes: 5 mA an Ah (1/s of its charge), EN IEC 62485-2, from memory. */
    private static final double FLOATS_AT = 0.005 / Standard.HOUR;

    private final BatteriesAtWork batteries;
    private final OutputAtWork[] fans;
    private double[] turningPoints = new double[256];
    private int size;
    private double extreme;
    private boolean rising;
    private double below20;
    private double below50;
    private double full;
    private double cold;
    private double hot;
    private double lowestCelsius = Double.POSITIVE_INFINITY;
    private double highestCelsius = Double.NEGATIVE_INFINITY;
    private int openings;
    private double highestGas;
    private double unventilated;

    /**
     * @param outputs of the program, those that ventilate among them
     */
    WearMeter(BatteriesAtWork batteries, OutputAtWork[] outputs) {
        this.batteries = batteries;
        fans = Arrays.stream(outputs)
                .filter(one -> one.output()
                        .automatic()
                        .filter(VentilationByGassing.class::isInstance)
                        .isPresent())
                .toArray(OutputAtWork[]::new);
        extreme = batteries.charge();
        add(extreme);
    }

    /** Counts a step (s) that was gone, and the temperature of the batteries (°C). */
    void count(double seconds, double celsius) {
        double charge = batteries.charge();
        countGas(seconds);
        below20 += charge < 0.2 ? seconds : 0;
        below50 += charge < 0.5 ? seconds : 0;
        full += charge >= Standard.FULL_CHARGE ? seconds : 0;
        cold += celsius < 0 ? seconds : 0;
        hot += celsius > 40 ? seconds : 0;
        lowestCelsius = Math.min(lowestCelsius, celsius);
        highestCelsius = Math.max(highestCelsius, celsius);
        if (rising ? charge > extreme : charge < extreme) {
            extreme = charge;
        } else if (Math.abs(charge - extreme) >= LEAST_RANGE) {
            add(extreme);
            rising = !rising;
            extreme = charge;
        }
    }

    private void countGas(double seconds) {
        double gas = batteries.gasAmperes();
        if (gas == 0) {
            return;
        }
        highestGas = Math.max(highestGas, gas);
        boolean ventilated = false;
        for (OutputAtWork fan : fans) {
            ventilated |= fan.isClosed();
        }
        unventilated += !ventilated && gas > FLOATS_AT * batteries.capacityCoulombs() ? seconds : 0;
    }

    void countOpening() {
        openings++;
    }

    private void add(double charge) {
        if (size == turningPoints.length) {
            turningPoints = Arrays.copyOf(turningPoints, size * 2);
        }
        turningPoints[size++] = charge;
    }

    BatteryFigures figures(Optional<Double> reportedAtEnd) {
        add(extreme);
        Rainflow cycles = Rainflow.of(Arrays.copyOf(turningPoints, size));
        return new BatteryFigures(
                cycles.equivalentFullCycles(),
                cycles.cycles(0.5, Double.POSITIVE_INFINITY),
                below20,
                below50,
                full,
                cold,
                hot,
                lowestCelsius,
                highestCelsius,
                openings,
                highestGas,
                unventilated,
                reportedAtEnd);
    }
}
