package sparen.handover;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import sparen.bench.AutoBench;
import sparen.examined.Tolerance;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.site.Inverter;
import sparen.site.Inverter.DcWindow;
import sparen.site.Load;

/**
 * A level of a program to be tried on site: set this, wait, expect that at this number after this delay. What outputs are expected to do
 * comes from the walk of all levels on the bench; what chargers hold and the inverter's own guard are as programmed.
 *
 * @param id what tells it from the others of its plan
 * @param output id of the output, charger or inverter
 * @param outputName what the crew calls it
 * @param term the trade's term for the level
 * @param falling whether it is approached from above
 * @param signal what is turned, as a person reads it
 * @param expected where the contact moves, in unit
 * @param unit V, %, A, W, °C or h
 * @param tolerance how far from there it may move, in unit
 * @param delaySeconds after which it moves (s); absent where it has no delay of its own
 * @param delayTolerance how far from that it may move (s)
 * @param loads names of what the output switches, in the plan's order; those that are critical too
 * @param critical names of the critical ones among them
 * @param held true where something is held at the level, as absorption is; absent where something moves when it is passed
 */
public record TestStep(
        String id,
        String output,
        String outputName,
        String term,
        boolean falling,
        String signal,
        double expected,
        String unit,
        double tolerance,
        Optional<Double> delaySeconds,
        double delayTolerance,
        List<String> loads,
        List<String> critical,
        Optional<Boolean> held) {
    /** Whether a test that was made still says something of a plan. */
    public enum Standing {
        VALID,
        /** Its level, its delay or its place is another one now. */
        CHANGED,
        /** There is no such level any more. */
        GONE
    }

    /** Device and meter are off by as much as uncalibrated ones are, each on its own: two standard deviations of both together. */
    private static final double VOLTS_SHARE = 2 * Math.sqrt(2) * Tolerance.METER;

    /** What monitors report in (%), common practice, no source. */
    private static final double PERCENT = 1;

    /** Of a sensor that lies on a battery (°C), common practice, no source. */
    private static final double CELSIUS = 2;

    /** Of currents, powers and the rest (fraction), common practice, no source. */
    private static final double SHARE = 0.03;

    /** Clocks of devices, and a person with a watch: the larger of both (fraction; s), common practice, no source. */
    private static final double DELAY_SHARE = 0.05;

    private static final double WATCH_SECONDS = 2;
    private static final double DUST = 1e-9;
    private static final String BATTERY = "battery voltage";

    /** All that a plan has to be tried on, output by output. */
    public static List<TestStep> of(Plan plan) {
        Map<String, String> names =
                plan.program().outputs().stream().collect(Collectors.toMap(Output::id, Output::name));
        List<TestStep> steps = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (AutoBench.Row row : AutoBench.walk(plan)) {
            double expected = tidy(row.expected() * row.knob().shownTimes());
            String id = row.output() + "/" + row.term() + "/" + (row.falling() ? "down" : "up");
            String own = id;
            for (int more = 2; !ids.add(own); more++) {
                own = id + "/" + more;
            }
            steps.add(new TestStep(
                    own,
                    row.output(),
                    names.get(row.output()),
                    row.term(),
                    row.falling(),
                    row.knob().name(),
                    expected,
                    row.knob().unit(),
                    tolerance(expected, row.knob().unit()),
                    row.delaySeconds(),
                    Math.max(WATCH_SECONDS, DELAY_SHARE * row.delaySeconds().orElse(0.0)),
                    LoadsAtRisk.switchedBy(plan, row.output(), load -> true),
                    LoadsAtRisk.switchedBy(plan, row.output(), load -> load.critical()),
                    Optional.empty()));
        }
        plan.program().charging().forEach(charging -> {
            String name = plan.site().chargerName(charging.controller());
            steps.add(held(charging.controller(), name, "absorption", charging.absorptionVolts()));
            steps.add(held(charging.controller(), name, "float", charging.floatVolts()));
        });
        plan.site().inverter().ifPresent(inverter -> {
            DcWindow window = inverter.window();
            steps.add(ofWindow(
                    plan, inverter, "low shutdown", true, window.lowShutdownVolts(), window.lowDelaySeconds()));
            steps.add(ofWindow(plan, inverter, "low restart", false, window.lowRestartVolts(), 0));
            steps.add(ofWindow(plan, inverter, "high shutdown", false, window.highShutdownVolts(), 0));
        });
        return steps;
    }

    /** Something that a charger holds once it has come so far. */
    private static TestStep held(String charger, String name, String term, double volts) {
        return new TestStep(
                charger + "/" + term + "/held",
                charger,
                name,
                term,
                false,
                BATTERY,
                volts,
                "V",
                tolerance(volts, "V"),
                Optional.empty(),
                0,
                List.of(),
                List.of(),
                Optional.of(true));
    }

    /** A level of the inverter's own guard. */
    private static TestStep ofWindow(
            Plan plan, Inverter inverter, String term, boolean falling, double volts, double delay) {
        Predicate<Load> fed = load -> load.feed().equals(Optional.of(inverter.id()));
        return new TestStep(
                inverter.id() + "/" + term + "/" + (falling ? "down" : "up"),
                inverter.id(),
                inverter.name(),
                term,
                falling,
                "voltage at its DC terminals",
                volts,
                "V",
                tolerance(volts, "V"),
                Optional.of(delay).filter(seconds -> seconds > 0),
                Math.max(WATCH_SECONDS, DELAY_SHARE * delay),
                plan.site().loads().stream().filter(fed).map(Load::name).toList(),
                plan.site().loads().stream()
                        .filter(fed.and(Load::critical))
                        .map(Load::name)
                        .toList(),
                Optional.empty());
    }

    private boolean isHeld() {
        return held.orElse(false);
    }

    private static double tolerance(double expected, String unit) {
        return switch (unit) {
            case "V" -> hundredths(VOLTS_SHARE * Math.abs(expected));
            case "%" -> PERCENT;
            case "°C" -> CELSIUS;
            default -> hundredths(SHARE * Math.abs(expected));
        };
    }

    private static double hundredths(double value) {
        return Math.rint(value * 100) / 100;
    }

    private static double tidy(double value) {
        return Math.rint(value * 1000) / 1000;
    }

    /**
     * What is wrong with what was measured; empty where it passed.
     *
     * @param measured where the contact moved, in the step's unit
     * @param afterSeconds after how long (s); absent where nobody looked at a watch
     * @param setTo what the level was set to for the test; absent where it was as planned
     */
    public Optional<String> failure(double measured, Optional<Double> afterSeconds, Optional<Double> setTo) {
        double level = setTo.orElse(expected);
        if (Math.abs(measured - level) > tolerance + DUST) {
            return Optional.of((isHeld() ? "held at " : "moved at ") + inUnit(measured) + ", "
                    + inUnit(tidy(Math.abs(measured - level)))
                    + (measured > level ? " above " : " below ") + inUnit(level)
                    + (setTo.isPresent() ? " as set for the test" : "") + ", where ±" + inUnit(tolerance)
                    + " is allowed");
        }
        return delaySeconds.flatMap(delay -> afterSeconds
                .filter(after -> Math.abs(after - delay) > delayTolerance + DUST)
                .map(after -> "moved after " + Bounds.number(after) + " s in place of " + Bounds.number(delay) + " s ± "
                        + Bounds.number(delayTolerance) + " s"));
    }

    private String inUnit(double value) {
        return (Bounds.number(value) + " " + unit).strip();
    }

    /**
     * To what the level can be set for the test, so that what the battery is at now is past it and nobody has to empty or fill it: 1 % of
     * the voltage, or two percent of charge, beyond (common practice, no source). Empty where the level is no voltage and no charge, or is
     * held.
     *
     * @param volts of the battery now (V); absent where nobody knows
     * @param percent its state of charge now; absent where nobody knows
     */
    public Optional<Double> setFor(Optional<Double> volts, Optional<Double> percent) {
        if (isHeld()) {
            return Optional.empty();
        }
        int side = falling ? 1 : -1;
        return switch (unit) {
            case "V" -> volts.map(now -> Math.rint(now * (1 + side * 0.01) * 10) / 10);
            case "%" -> percent.map(now -> Math.max(0, Math.min(100, Math.rint(now + side * 2))));
            default -> Optional.empty();
        };
    }

    /** Whether a test of this level still says something of a plan whose steps are these. */
    public Standing standing(List<TestStep> now) {
        return now.stream()
                .filter(one -> one.id.equals(id))
                .findFirst()
                .map(one -> one.isAs(this) ? Standing.VALID : Standing.CHANGED)
                .orElse(Standing.GONE);
    }

    private boolean isAs(TestStep other) {
        return expected == other.expected
                && unit.equals(other.unit)
                && signal.equals(other.signal)
                && delaySeconds.equals(other.delaySeconds);
    }
}
