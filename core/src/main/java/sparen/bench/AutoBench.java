package sparen.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.bench.BenchScript.Turn;
import sparen.logic.SwitchLogic;
import sparen.logic.Way;
import sparen.program.Level;
import sparen.program.Mode;
import sparen.program.NamedSignal;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.Surroundings;
import sparen.quantity.Fields;
import sparen.result.Event;
import sparen.site.SensePoint;

/**
 * Walks every level of a program up or down at the bench supply: just before the level the output must stay, just past it it must
 * move. What is listed is the commissioning test of the program. Common practice, no source.
 */
public final class AutoBench {
    /** So far before and past a level a voltage is held (V), and a state of charge (fraction). */
    private static final double NEAR_VOLTS = 0.01;

    private static final double NEAR_CHARGE = 0.006;

    /** A walk begins so far beyond the level (of its value), so that the output is in the state the level takes it out of. */
    private static final double BEYOND = 0.2;

    /** A move within this of its delay is in time (s): the accuracy of the engine's instants. */
    private static final double SAME_SECONDS = 0.1;

    /** Longer than every delay and hold of the rule it waits by so much (s). */
    private static final double MARGIN_SECONDS = 30;

    private final Plan plan;
    private final Output output;
    private final Rule rule;
    private final Surroundings around;
    private final SwitchLogic logic;

    private AutoBench(Plan plan, Output output, Rule rule) {
        this.plan = plan;
        this.output = output;
        this.rule = rule;
        around = Surroundings.of(plan).at(output);
        logic = rule.compile(around);
    }

    /**
     * One level walked.
     *
     * @param output id of the output
     * @param term the trade's term for the level
     * @param knob the signal that is turned
     * @param falling whether it is approached from above
     * @param expected where it should move, true value in the signal's own unit
     * @param stays whether it stayed just before the level
     * @param delaySeconds after which it should move (s); absent where the rule has no delay for this level
     * @param movedAfterSeconds how long after the level was passed it moved (s); absent where it did not
     * @param reason what its tape says then; empty where it did not move
     */
    public record Row(
            String output,
            String term,
            NamedSignal knob,
            boolean falling,
            double expected,
            boolean stays,
            Optional<Double> delaySeconds,
            Optional<Double> movedAfterSeconds,
            String reason) {
        /** Whether the output did as the level says, and when its delay says. */
        public boolean asExpected() {
            return stays
                    && movedAfterSeconds
                            .filter(moved ->
                                    delaySeconds.isEmpty() || Math.abs(moved - delaySeconds.get()) < SAME_SECONDS)
                            .isPresent();
        }
    }

    /** All levels of the rules that act in a plan. */
    public static List<Row> walk(Plan plan) {
        List<Row> rows = new ArrayList<>();
        for (Output output : plan.program().outputs()) {
            Stream<Rule> acting = Stream.concat(
                    output.mode() == Mode.BY_RULE ? output.automatic().stream() : Stream.empty(),
                    output.protection().stream());
            acting.forEach(rule -> rule.levels().stream()
                    .filter(level -> level.value() > 0)
                    .forEach(level -> rows.add(new AutoBench(alone(plan, output, rule), output, rule).row(level))));
        }
        return List.copyOf(rows);
    }

    /** The plan with this rule alone at its output, so that no other moves or holds the contact; lockouts wait elsewhere. */
    private static Plan alone(Plan plan, Output output, Rule rule) {
        boolean guards = output.protection().equals(Optional.of(rule));
        Output bare = output.withLockout(Optional.empty());
        Output only = guards
                ? bare.withAutomatic(output.automatic()).withMode(Mode.ON)
                : bare.withProtection(Optional.empty());
        return Fields.withAt(plan, "program/outputs/" + output.id(), only);
    }

    private Row row(Level level) {
        boolean percent = level.role().percent();
        int signal = around.signal(rule, level);
        double offset = level.sensePoint()
                .map(plan.site()::sensePoint)
                .map(SensePoint::offsetVolts)
                .orElse(0.0);
        double step = level.sensePoint()
                .map(plan.site()::sensePoint)
                .flatMap(SensePoint::resolutionVolts)
                .orElse(0.0);
        double expected = percent ? level.value() / 100 : level.value() - offset;
        double near = percent ? NEAR_CHARGE : NEAR_VOLTS + step;
        boolean falling = level.role().falling();
        double side = falling ? 1 : -1;
        double wait = longestSeconds(logic) + MARGIN_SECONDS;
        NamedSignal turned = around.signals().all().get(signal);
        String knob = turned.id();
        double from = percent ? (falling ? 1 : 0) : expected * (1 + side * BEYOND);
        List<Turn> turns = new ArrayList<>();
        if (!percent) {
            // Both ends of the battery cable move together, as on a bench with one supply.
            turns.add(new Turn(0, "battery_volts", from, 0));
            turns.add(new Turn(0, "bus_volts", from, 0));
        }
        // First far on the other side, then far on this one: so the rule has been through both states.
        turns.add(new Turn(0, knob, percent ? 1 - from : expected * (1 - side * BEYOND), 0));
        turns.add(new Turn(wait, knob, from, 0));
        turns.add(new Turn(2 * wait, knob, expected + side * near, 0));
        double passed = 3 * wait;
        turns.add(new Turn(passed, knob, expected - side * near, 0));
        BenchState state = SupplyBench.play(plan, new BenchScript(turns), 4 * wait);
        List<Event> moves = state.events().stream()
                .filter(event -> event.subject().equals(output.id()) && isMove(event))
                .toList();
        boolean stays = moves.stream().noneMatch(event -> event.seconds() >= 2 * wait && event.seconds() < passed);
        Optional<Event> moved =
                moves.stream().filter(event -> event.seconds() >= passed).findFirst();
        return new Row(
                output.id(),
                level.term(),
                turned,
                falling,
                expected,
                stays,
                delay(level),
                moved.map(event -> event.seconds() - passed),
                moved.map(Event::reason).orElse(""));
    }

    /** The delay that belongs to a level by name, such as lvdDelaySeconds to lvdVolts; a device that looks now and then is later by that. */
    private Optional<Double> delay(Level level) {
        String field = level.field().replaceAll("(Volts|Percent)$", "DelaySeconds");
        boolean looks = longestLook() > 0;
        return !looks && !field.equals(level.field()) && Fields.has((Record) rule, field)
                ? Optional.of((Double) Fields.get((Record) rule, field))
                : Optional.empty();
    }

    private double longestLook() {
        return ways(logic).mapToDouble(Way::lookSeconds).max().orElse(0);
    }

    private static Stream<Way> ways(SwitchLogic logic) {
        return Stream.concat(logic.turnsOn().stream(), logic.turnsOff().stream());
    }

    private static boolean isMove(Event event) {
        return event.kind() == Event.Kind.OPENED || event.kind() == Event.Kind.CLOSED;
    }

    /** The longest delay, look and hold of a rule (s). */
    static double longestSeconds(SwitchLogic logic) {
        double longest = Math.max(logic.minimumOnSeconds(), logic.minimumOffSeconds());
        for (Way way : ways(logic).toList()) {
            longest = Math.max(longest, way.delaySeconds() + 2 * way.lookSeconds());
        }
        return longest;
    }
}
