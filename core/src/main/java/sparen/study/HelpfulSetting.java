package sparen.study;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import sparen.program.Level;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.rule.DuskByArrayVoltage;
import sparen.program.rule.DuskToDawn;
import sparen.program.rule.HoursAfterDusk;
import sparen.program.rule.SunAndClock;
import sparen.quantity.Bounds;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;
import sparen.site.Load;

/**
 * One setting that may keep critical loads fed for longer: what is not critical goes off earlier, help comes earlier, or the critical
 * load itself is held on to for longer. Common practice, no source.
 *
 * @param says what is changed, in words
 * @param plan with the change
 */
record HelpfulSetting(String says, Plan plan) {
    /** Levels move by so much of the nominal voltage: 0.3 V in 12 V. */
    private static final double VOLTS_SHARE = 0.025;

    private static final double PERCENT = 10;

    /** All that come into question for a plan, the gentlest first. What comes on in the dark is left alone: a light that guards people. */
    static List<HelpfulSetting> of(Plan plan) {
        List<HelpfulSetting> found = new ArrayList<>();
        List<Output> outputs = plan.program().outputs().stream()
                .filter(output ->
                        output.automatic().filter(HelpfulSetting::inTheDark).isEmpty())
                .toList();
        for (Output output : outputs) {
            boolean critical = feeds(plan, output, true);
            boolean plain = feeds(plan, output, false);
            output.protection().ifPresent(rule -> {
                if (plain && !critical) {
                    moved(plan, output, "protection", rule, 1).ifPresent(found::add);
                }
                if (critical) {
                    moved(plan, output, "protection", rule, -1).ifPresent(found::add);
                }
            });
            output.automatic()
                    .filter(rule -> starts(rule) && output.mode() == Mode.BY_RULE)
                    .flatMap(rule -> moved(plan, output, "automatic", rule, 1))
                    .ifPresent(found::add);
        }
        for (Output output : outputs) {
            if (feeds(plan, output, false) && !feeds(plan, output, true) && output.mode() != Mode.OFF) {
                found.add(new HelpfulSetting(
                        output.name() + " left off",
                        Fields.withAt(plan, "program/outputs/" + output.id(), output.withMode(Mode.OFF))));
            }
        }
        return List.copyOf(found);
    }

    private static boolean feeds(Plan plan, Output output, boolean critical) {
        return plan.site().loads().stream()
                .filter(load -> output.loads().contains(load.id()) || fedThrough(output, load))
                .anyMatch(load -> load.critical() == critical);
    }

    private static boolean fedThrough(Output output, Load load) {
        return load.feed().filter(output.loads()::contains).isPresent();
    }

    private static boolean inTheDark(Rule rule) {
        return rule instanceof DuskToDawn
                || rule instanceof HoursAfterDusk
                || rule instanceof SunAndClock
                || rule instanceof DuskByArrayVoltage;
    }

    private static boolean starts(Rule rule) {
        return rule.levels().stream()
                .anyMatch(level ->
                        level.role() == Level.Role.GENERATOR_START || level.role() == Level.Role.GENERATOR_START_SOC);
    }

    /** All levels of a rule moved alike, so that what lies between them stays. */
    private static Optional<HelpfulSetting> moved(Plan plan, Output output, String place, Rule rule, int way) {
        double volts = Math.round(10 * VOLTS_SHARE * plan.site().nominalVolts()) / 10.0;
        Rule changed = rule;
        List<String> says = new ArrayList<>();
        try {
            for (Level level : rule.levels()) {
                if (level.value() <= 0) {
                    continue;
                }
                double step = way * (level.role().percent() ? PERCENT : volts);
                double to = Math.round(1000 * (level.value() + step)) / 1000.0;
                to = level.role().percent() ? Math.min(100, to) : to;
                changed = Fields.with(changed, level.field(), to);
                says.add(level.term() + " " + Bounds.number(level.value()) + " → " + Bounds.number(to)
                        + (level.role().percent() ? " %" : " V"));
            }
        } catch (InvalidQuantity beyond) {
            // The rule refuses numbers so high or low: then this is no setting to try.
            return Optional.empty();
        }
        if (says.isEmpty()) {
            return Optional.empty();
        }
        Output with = Fields.with(output, place, Optional.of(changed));
        return Optional.of(new HelpfulSetting(
                output.name() + ": " + String.join(", ", says),
                Fields.withAt(plan, "program/outputs/" + output.id(), with)));
    }
}
