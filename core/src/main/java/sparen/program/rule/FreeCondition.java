package sparen.program.rule;

import java.util.List;
import java.util.stream.Stream;
import sparen.logic.Condition;
import sparen.logic.Signal;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;
import sparen.site.DailySpan;

/** A condition that a technician puts together: comparisons of what devices read, and all of, any of, not. */
public sealed interface FreeCondition {
    /** What it is of the signals. */
    Condition compile(Surroundings around);

    /** Says it, its fields under a path. */
    Sentence say(Sentence so, String path, Surroundings around);

    /** Names of requests it waits for. */
    default Stream<String> requests() {
        return Stream.empty();
    }

    /**
     * A reading at a sense point is at or beyond a level.
     *
     * @param sensePoint id of the point
     * @param above at or above, else at or below
     * @param volts the level, whole bank (V), 0 to 1000
     */
    record Voltage(String sensePoint, boolean above, double volts) implements FreeCondition {
        public Voltage {
            Bounds.id("sensePoint", sensePoint);
            Bounds.within("volts", volts, 0, 1000);
        }

        @Override
        public Condition compile(Surroundings around) {
            return RuleConditions.volts(around, sensePoint, above, "", volts, 0, 0)
                    .when();
        }

        @Override
        public Sentence say(Sentence so, String path, Surroundings around) {
            return so.sensePoint(path + ".sensePoint", sensePoint, around.site())
                    .then(" is" + RuleConditions.comparison(above))
                    .volts(path + ".volts", "level", volts);
        }
    }

    /**
     * A monitor's report is at or beyond a level.
     *
     * @param monitor id of the monitor
     * @param above at or above, else at or below
     * @param percent the level (%), 0 to 100
     */
    record Report(String monitor, boolean above, double percent) implements FreeCondition {
        public Report {
            Bounds.id("monitor", monitor);
            Bounds.within("percent", percent, 0, 100);
        }

        @Override
        public Condition compile(Surroundings around) {
            return RuleConditions.report(around, monitor, above, "", percent, 0).when();
        }

        @Override
        public Sentence say(Sentence so, String path, Surroundings around) {
            return so.monitor(path + ".monitor", monitor, around.site())
                    .then(" reports" + RuleConditions.comparison(above))
                    .percent(path + ".percent", "level", percent);
        }
    }

    /**
     * Something measured is at or beyond a level.
     *
     * @param quantity what
     * @param above at or above, else at or below
     * @param level in its unit, −1,000,000 to 1,000,000
     */
    record Measured(MeasuredQuantity quantity, boolean above, double level) implements FreeCondition {
        public Measured {
            Bounds.present("quantity", quantity);
            Bounds.within("level", level, quantity.unit(), -1_000_000, 1_000_000);
        }

        @Override
        public Condition compile(Surroundings around) {
            return RuleConditions.signal(quantity.signal(), "", above, level, "", 0)
                    .when();
        }

        @Override
        public Sentence say(Sentence so, String path, Surroundings around) {
            return so.then("the " + quantity.words() + " is" + RuleConditions.comparison(above))
                    .number(path + ".level", "level", level, quantity.unit(), 0.5, 5, -1_000_000, 1_000_000);
        }
    }

    /**
     * It is within some hours, by the clock of the device.
     *
     * @param span the hours
     */
    record Hours(DailySpan span) implements FreeCondition {
        public Hours {
            Bounds.present("span", span);
        }

        @Override
        public Condition compile(Surroundings around) {
            return RuleConditions.within(around, span);
        }

        @Override
        public Sentence say(Sentence so, String path, Surroundings around) {
            return so.then("it is ").hours(path + ".span", span);
        }
    }

    /**
     * Another output's contact is closed.
     *
     * @param output id of the other output
     */
    record Closed(String output) implements FreeCondition {
        public Closed {
            Bounds.id("output", output);
        }

        @Override
        public Condition compile(Surroundings around) {
            return RuleConditions.isOne(around.contact(output));
        }

        @Override
        public Sentence say(Sentence so, String path, Surroundings around) {
            return so.output(path + ".output", output, around).then(" is closed");
        }
    }

    /** The states that can hold. */
    enum State {
        AC_PRESENT("an AC source is there", Signal.AC_PRESENT),
        BMS_TALKS("the batteries' line talks", Signal.BMS_TALKS),
        FAULT("there is a fault", Signal.FAULT);

        private final String words;
        private final int signal;

        State(String words, int signal) {
            this.words = words;
            this.signal = signal;
        }
    }

    /**
     * A state holds.
     *
     * @param state which
     */
    record InState(State state) implements FreeCondition {
        public InState {
            Bounds.present("state", state);
        }

        @Override
        public Condition compile(Surroundings around) {
            return RuleConditions.isOne(state.signal);
        }

        @Override
        public Sentence say(Sentence so, String path, Surroundings around) {
            return so.then(state.words);
        }
    }

    /**
     * A request by hand is being made.
     *
     * @param request its name
     */
    record Requested(String request) implements FreeCondition {
        public Requested {
            Bounds.id("request", request);
        }

        @Override
        public Condition compile(Surroundings around) {
            return RuleConditions.isOne(around.request(request));
        }

        @Override
        public Sentence say(Sentence so, String path, Surroundings around) {
            return so.then("\"" + request + "\" is requested");
        }

        @Override
        public Stream<String> requests() {
            return Stream.of(request);
        }
    }

    /**
     * All parts hold.
     *
     * @param parts 1 to 20
     */
    record AllOf(List<FreeCondition> parts) implements FreeCondition {
        public AllOf {
            parts = Bounds.list("parts", parts, 1, 20);
        }

        @Override
        public Condition compile(Surroundings around) {
            return new Condition.AllOf(
                    parts.stream().map(part -> part.compile(around)).toList());
        }

        @Override
        public Sentence say(Sentence so, String path, Surroundings around) {
            return sayParts(so, path, parts, " and ", around);
        }

        @Override
        public Stream<String> requests() {
            return parts.stream().flatMap(FreeCondition::requests);
        }
    }

    /**
     * One part holds at least.
     *
     * @param parts 1 to 20
     */
    record AnyOf(List<FreeCondition> parts) implements FreeCondition {
        public AnyOf {
            parts = Bounds.list("parts", parts, 1, 20);
        }

        @Override
        public Condition compile(Surroundings around) {
            return new Condition.AnyOf(
                    parts.stream().map(part -> part.compile(around)).toList());
        }

        @Override
        public Sentence say(Sentence so, String path, Surroundings around) {
            return sayParts(so, path, parts, " or ", around);
        }

        @Override
        public Stream<String> requests() {
            return parts.stream().flatMap(FreeCondition::requests);
        }
    }

    /**
     * Its part does not hold.
     *
     * @param part what must not hold
     */
    record Not(FreeCondition part) implements FreeCondition {
        public Not {
            Bounds.present("part", part);
        }

        @Override
        public Condition compile(Surroundings around) {
            return new Condition.Not(part.compile(around));
        }

        @Override
        public Sentence say(Sentence so, String path, Surroundings around) {
            return part.say(so.then("not ("), path + ".part", around).then(")");
        }

        @Override
        public Stream<String> requests() {
            return part.requests();
        }
    }

    private static Sentence sayParts(
            Sentence so, String path, List<FreeCondition> parts, String between, Surroundings around) {
        Sentence said = so.then("(");
        for (int i = 0; i < parts.size(); i++) {
            said = parts.get(i).say(i == 0 ? said : said.then(between), path + ".parts." + i, around);
        }
        return said.then(")");
    }
}
