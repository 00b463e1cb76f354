package sparen.export;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import sparen.logic.Condition;
import sparen.logic.SwitchLogic;
import sparen.logic.Way;
import sparen.program.NamedSignal;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.Surroundings;
import sparen.quantity.Fields;
import sparen.site.SensePoint;
import sparen.site.Site;

/**
 * The logic of an output as structured text for a programmable relay, with its standard timers TON and TP.
 *
 * <p>Source: IEC 61131-3, structured text and the standard function blocks, from memory. A relay that runs the text acts at its scans:
 * a scan or two later than the engine. What the text cannot say, such as a lockout, is a remark in it.
 */
public final class StructuredText {
    private final Surroundings around;
    private final List<String> names;
    private final StringBuilder declared = new StringBuilder();
    private final StringBuilder body = new StringBuilder();
    private final BitSet inputs = new BitSet();

    private StructuredText(Surroundings around) {
        this.around = around;
        names = around.signals().all().stream()
                .map(NamedSignal::id)
                .map(StructuredText::valid)
                .toList();
    }

    /** A function block for one output of a plan: its inputs are the signals it looks at, its output the contact. */
    public static String of(Plan plan, Output output) {
        Plan asRead = plan;
        for (SensePoint point : plan.site().sensePoints()) {
            asRead = Fields.withAt(asRead, "site/sensePoints/" + point.id() + "/offsetVolts", 0.0);
        }
        return new StructuredText(Surroundings.of(asRead).at(output)).block(output, plan.site());
    }

    /** What a device reads is compared with what is programmed: by how much it reads wrongly is a remark. */
    private void remarkOffsets(Site site, List<String> remarks) {
        for (SensePoint point : site.sensePoints()) {
            if (point.offsetVolts() != 0 && inputs.get(around.voltage(point))) {
                remarks.add("Voltages are those that the device reads; at " + point.name() + " it reads "
                        + plain(Math.abs(point.offsetVolts())) + " V too "
                        + (point.offsetVolts() > 0 ? "high." : "low."));
            }
        }
    }

    private String block(Output output, Site site) {
        List<String> remarks = new ArrayList<>();
        remarks.add(output.name());
        String closed =
                switch (output.mode()) {
                    case ON -> "TRUE";
                    case OFF -> "FALSE";
                    case BY_RULE -> rule("automatic", output.automatic().orElseThrow(), remarks);
                };
        if (output.protection().isPresent()) {
            closed += " AND " + rule("protection", output.protection().get(), remarks);
        }
        remarkOffsets(site, remarks);
        output.lockout()
                .ifPresent(lockout ->
                        remarks.add("Not in this text: " + lockout.sentence().plain()));
        String rest = output.rest()
                .map(position -> position.name().toLowerCase(Locale.ROOT))
                .orElse("open");
        remarks.add("The contact rests " + rest + "; without power it is "
                + output.withoutPower()
                        .map(position -> position.name().toLowerCase(Locale.ROOT))
                        .orElse("open") + ".");
        remarks.add("Simulated only. Test on a bench before it guards anything.");
        StringBuilder text = new StringBuilder();
        remarks.forEach(
                remark -> text.append("(* ").append(remark.replace("*)", "* )")).append(" *)\n"));
        text.append("FUNCTION_BLOCK ").append(identifier(output.id())).append('\n');
        text.append("VAR_INPUT\n");
        inputs.stream()
                .forEach(signal -> text.append("  ").append(names.get(signal)).append(" : REAL;\n"));
        text.append("END_VAR\nVAR_OUTPUT\n  closed : BOOL;\nEND_VAR\nVAR\n")
                .append(declared)
                .append("END_VAR\n");
        return text.append(body)
                .append("closed := ")
                .append(closed)
                .append(";\nEND_FUNCTION_BLOCK\n")
                .toString();
    }

    private static String identifier(String id) {
        return valid("output_" + id.replace('-', '_'));
    }

    /** Without two underscores side by side, and none at the end. */
    private static String valid(String identifier) {
        return identifier.replaceAll("_+", "_").replaceAll("_$", "");
    }

    /** Writes a rule's state machine and gives the name of its state. */
    private String rule(String slot, Rule rule, List<String> remarks) {
        remarks.add(rule.sentence(around).plain());
        SwitchLogic logic = rule.compile(around);
        logic.signals(inputs);
        Block block = new Block(slot, logic);
        block.write();
        block.looksSeldom()
                .ifPresent(seconds ->
                        remarks.add("The device looks every " + plain(seconds) + " s; this text looks at every scan."));
        return slot + "_on";
    }

    /** The state machine of one rule. */
    private final class Block {
        private final String slot;
        private final SwitchLogic logic;
        private final boolean limited;

        Block(String slot, SwitchLogic logic) {
            this.slot = slot;
            this.logic = logic;
            limited = logic.longestOnSeconds() != Double.POSITIVE_INFINITY;
        }

        Optional<Double> looksSeldom() {
            return logic.turnsOff().stream()
                    .map(Way::lookSeconds)
                    .filter(seconds -> seconds > 0)
                    .findFirst();
        }

        void write() {
            declare(slot + "_on : BOOL := " + bool(logic.startsOn()));
            if (limited) {
                declare(slot + "_spent : BOOL := FALSE");
                declare(slot + "_ran : BOOL := FALSE");
                declare(slot + "_longest : TON");
                String none = none(logic.turnsOn());
                body.append("IF " + slot + "_spent AND " + none + " THEN\n  " + slot + "_spent := FALSE;\nEND_IF;\n");
            }
            String spent = limited ? " AND NOT " + slot + "_spent" : "";
            String ready = turns("off", logic.turnsOff(), slot + "_on");
            String keep = hold("run", slot + "_on", logic.minimumOnSeconds());
            turn(slot + "_on AND (" + ready + ")" + keep, "FALSE");
            if (limited) {
                body.append(slot + "_longest(IN := " + slot + "_on AND " + slot + "_ran, PT := "
                        + time(logic.longestOnSeconds()) + ");\n");
                body.append("IF " + slot + "_longest.Q THEN\n  " + slot + "_on := FALSE;\n  " + slot
                        + "_spent := TRUE;\nEND_IF;\n");
            }
            ready = turns("on", logic.turnsOn(), "NOT " + slot + "_on" + spent);
            keep = hold("rest", "NOT " + slot + "_on", logic.minimumOffSeconds());
            turn("NOT " + slot + "_on" + spent + " AND (" + ready + ")" + keep, "TRUE");
            // A hold begins in the scan that turned it, not in the next one.
            pulse("run", slot + "_on", logic.minimumOnSeconds());
            pulse("rest", "NOT " + slot + "_on", logic.minimumOffSeconds());
        }

        private String turns(String where, List<Way> ways, String waiting) {
            List<String> ready = new ArrayList<>();
            for (int i = 0; i < ways.size(); i++) {
                String condition = said(ways.get(i).when());
                body.append("(* ")
                        .append(ways.get(i).because().replace("*)", "* )"))
                        .append(" *)\n");
                String timer = slot + "_" + where + "_" + (i + 1);
                declare(timer + " : TON");
                body.append(timer + "(IN := " + waiting + " AND " + condition + ", PT := "
                        + time(ways.get(i).delaySeconds()) + ");\n");
                ready.add(timer + ".Q");
            }
            return ready.isEmpty() ? "FALSE" : String.join(" OR ", ready);
        }

        /** A pulse that holds the state for a time once it has been entered by a change. */
        private String hold(String what, String state, double seconds) {
            if (seconds == 0) {
                return "";
            }
            String pulse = slot + "_" + what;
            declare(pulse + " : TP");
            declare(pulse + "_entered : BOOL := FALSE");
            pulse(what, state, seconds);
            return " AND NOT " + pulse + ".Q";
        }

        private void pulse(String what, String state, double seconds) {
            if (seconds > 0) {
                String pulse = slot + "_" + what;
                body.append(pulse + "(IN := " + pulse + "_entered AND " + state + ", PT := " + time(seconds) + ");\n");
            }
        }

        private void turn(String when, String to) {
            body.append("IF " + when + " THEN\n  " + slot + "_on := " + to + ";\n");
            boolean on = to.equals("TRUE");
            if (on && limited) {
                body.append("  " + slot + "_ran := TRUE;\n");
            }
            if (on && logic.minimumOnSeconds() > 0) {
                body.append("  " + slot + "_run_entered := TRUE;\n");
            }
            if (!on && logic.minimumOffSeconds() > 0) {
                body.append("  " + slot + "_rest_entered := TRUE;\n");
            }
            body.append("END_IF;\n");
        }

        private String none(List<Way> ways) {
            return ways.stream().map(way -> "NOT " + said(way.when())).collect(Collectors.joining(" AND "));
        }
    }

    private void declare(String variable) {
        declared.append("  ").append(variable).append(";\n");
    }

    private static String bool(boolean value) {
        return value ? "TRUE" : "FALSE";
    }

    private String said(Condition condition) {
        if (condition instanceof Condition.AtOrBelow below) {
            return "(" + names.get(below.signal()) + " <= " + real(below.threshold()) + ")";
        }
        if (condition instanceof Condition.AtOrAbove above) {
            return "(" + names.get(above.signal()) + " >= " + real(above.threshold()) + ")";
        }
        if (condition instanceof Condition.Moving moving) {
            return "(" + names.get(moving.signal()) + (moving.above() ? " >= " : " <= ") + real(moving.threshold())
                    + " + " + real(moving.factor()) + " * (" + names.get(moving.by()) + " - "
                    + real(moving.from()) + "))";
        }
        if (condition instanceof Condition.Not not) {
            return "(NOT " + said(not.part()) + ")";
        }
        Condition.Joined joined = (Condition.Joined) condition;
        boolean all = joined instanceof Condition.AllOf;
        if (joined.parts().isEmpty()) {
            return bool(all);
        }
        return joined.parts().stream().map(this::said).collect(Collectors.joining(all ? " AND " : " OR ", "(", ")"));
    }

    private static String real(double value) {
        String plain = plain(value);
        return plain.contains(".") ? plain : plain + ".0";
    }

    private static String plain(double value) {
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }

    private static String time(double seconds) {
        return "T#" + Math.round(seconds * 1000) + "ms";
    }
}
