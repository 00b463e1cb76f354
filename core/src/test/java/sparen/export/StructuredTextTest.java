package sparen.export;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.logic.Signal;
import sparen.logic.Switch;
import sparen.logic.SwitchLogic;
import sparen.logic.Way;
import sparen.program.FullSite;
import sparen.program.Mode;
import sparen.program.NamedSignal;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.Surroundings;
import sparen.program.rule.RuleKind;
import sparen.program.rule.Rules;
import sparen.quantity.Fields;

/** The text of every rule, run scan by scan by an interpreter that knows nothing of the engine, beside the engine's own switch. */
public class StructuredTextTest {
    /** A state of the signals holds for so many scans, and there are so many states. */
    private static final int HOLD = 600;

    private static final int STATES = 120;

    @DataProvider
    private Object[][] kinds() {
        Surroundings around = Surroundings.of(FullSite.PLAN).at(output());
        return Rules.ALL.stream()
                .filter(kind -> kind.usual().apply(around).isPresent())
                .map(kind -> new Object[] {kind})
                .toArray(Object[][]::new);
    }

    private static Output output() {
        return FullSite.PLAN.program().outputs().get(1);
    }

    @Test(dataProvider = "kinds")
    public void theTextActsAsTheEngineDoes(RuleKind kind) {
        Rule rule =
                kind.usual().apply(Surroundings.of(FullSite.PLAN).at(output())).orElseThrow();
        Plan plan = FullSite.output(FullSite.PLAN, output().id(), output -> output.withAutomatic(Optional.of(rule))
                .withProtection(Optional.empty())
                .withMode(Mode.BY_RULE));
        Output programmed = plan.program().outputs().get(1);
        Surroundings around = Surroundings.of(plan).at(programmed);
        TextInterpreter text = new TextInterpreter(StructuredText.of(plan, programmed));
        Switch engine = new Switch(rule.compile(around));
        List<String> names =
                around.signals().all().stream().map(NamedSignal::id).toList();
        double scan = Math.max(0.5, 1.3 * longestSeconds(rule.compile(around)) / HOLD);
        Signals signals = new Signals(around);
        int engineMoves = 0;
        int textMoves = 0;
        double apart = 0;
        double longestApart = 0;
        boolean closed = text.scan(-scan, signals.named(names));
        for (int i = 0; i < HOLD * STATES; i++) {
            double now = i * scan;
            signals.move();
            engineMoves += engine.settle(now, signals.values) ? 1 : 0;
            boolean before = closed;
            closed = text.scan(now, signals.named(names));
            textMoves += closed != before ? 1 : 0;
            apart = closed == engine.isOn() ? 0 : apart + 1;
            longestApart = Math.max(longestApart, apart);
        }
        assertEquals(textMoves, engineMoves, 2, "moves of the text and of the engine");
        assertTrue(longestApart <= 4, "apart for " + longestApart + " scans");
        assertTrue(engineMoves > 2, kind.name() + " switched " + engineMoves + " times only");
    }

    /** Its numbers are those that are programmed: what a device reads wrongly is a remark, and no 22.829999999999998. */
    @Test
    public void numbersAreThoseThatAreProgrammed() {
        Plan off = Fields.withAt(FullSite.PLAN, "site/sensePoints/terminals/offsetVolts", -0.03);
        String text = StructuredText.of(off, off.program().outputs().get(0));
        assertTrue(text.contains("<= 22.8"), text);
        assertTrue(!text.contains("22.83") && !text.contains("22.8299"), text);
        assertTrue(text.contains("at battery it reads 0.03 V too low."), text);
    }

    private static double longestSeconds(SwitchLogic logic) {
        return Stream.concat(logic.turnsOn().stream(), logic.turnsOff().stream())
                .mapToDouble(Way::delaySeconds)
                .max()
                .orElse(0);
    }

    /** Every signal a rule looks at swings slowly about the levels it may have, in steps that hold for minutes. */
    private static final class Signals {
        private final Random random = new Random(7);
        private final double[] values;
        private final List<double[]> ranges = new ArrayList<>();
        private int step;

        Signals(Surroundings around) {
            values = new double[around.count()];
            for (int i = 0; i < values.length; i++) {
                ranges.add(range(around.signals().all().get(i).id()));
            }
            move();
        }

        private static double[] range(String name) {
            if (name.contains("array_volts")) {
                return new double[] {0, 160};
            }
            if (name.contains("volts")) {
                return new double[] {20, 31};
            }
            if (name.contains("celsius")) {
                return new double[] {-20, 60};
            }
            if (name.contains("hour")) {
                return new double[] {0, 24};
            }
            if (name.contains("watts")) {
                return new double[] {0, 4000};
            }
            if (name.contains("sun_altitude")) {
                return new double[] {-30, 40};
            }
            if (name.contains("amperes")) {
                return new double[] {-50, 50};
            }
            return name.contains("charge") ? new double[] {0, 1} : new double[] {0, 8};
        }

        void move() {
            // A state holds, then every signal jumps, often to an end; small numbers are whole, as ranks and flags are.
            if (step++ % HOLD != 0) {
                return;
            }
            for (int i = 0; i < values.length; i++) {
                double[] range = ranges.get(i);
                double value =
                        range[0] + (range[1] - range[0]) * Math.min(1, Math.max(0, random.nextDouble() * 2 - 0.5));
                boolean flag = range[1] == 8;
                values[i] =
                        flag ? random.nextInt(i == Signal.LOCAL_MONTH || i == Signal.LOCAL_WEEKDAY ? 8 : 5) % 8 : value;
            }
        }

        Map<String, Double> named(List<String> names) {
            Map<String, Double> named = new HashMap<>();
            for (int i = 0; i < values.length; i++) {
                named.put(names.get(i), values[i]);
            }
            return named;
        }
    }
}
