package sparen.export;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;
import java.util.Map;
import sparen.format.Profile;
import sparen.gauge.Gauge;
import sparen.program.Lockout;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;

/** Levels and outputs of a plan as tables: comma-separated, RFC 4180, UTF-8, a heading with units, decimal points. */
public final class Tables {
    private static final MathContext TOLD = new MathContext(6);

    private Tables() {}

    /** One line a level. */
    public static String levels(Plan plan, Map<String, Profile> profiles) {
        Gauge gauge = Gauge.of(plan, profiles);
        return Csv.of(csv -> {
            csv.writeRecord(
                    "of",
                    "level",
                    "value",
                    "unit",
                    "acts",
                    "read at",
                    "per cell (V)",
                    "as 12 V set (V)",
                    "tolerance (V)",
                    "origin",
                    "path");
            for (Gauge.Peg peg : gauge.pegs()) {
                boolean volts = peg.unit().equals("V");
                double cell = peg.value() / gauge.cellsInSeries();
                csv.writeRecord(
                        peg.name(),
                        peg.term(),
                        format(peg.value()),
                        peg.unit(),
                        peg.acts().name().toLowerCase(Locale.ROOT),
                        peg.sensePoint().orElse("report"),
                        volts ? format(cell) : "",
                        volts ? format(cell * gauge.cellsOf12Volts()) : "",
                        volts ? format(peg.tolerance()) : "",
                        plan.origins().containsKey(peg.path())
                                ? plan.origins()
                                        .get(peg.path())
                                        .kind()
                                        .name()
                                        .toLowerCase(Locale.ROOT)
                                        .replace('_', ' ')
                                : "",
                        peg.path());
            }
        });
    }

    /** One line an output, its rules as the sentences they are on screen. */
    public static String outputs(Plan plan) {
        return Csv.of(csv -> {
            csv.writeRecord(
                    "id",
                    "output",
                    "acts on",
                    "mode",
                    "automatic",
                    "protection",
                    "lockout",
                    "test force",
                    "fed from",
                    "rests",
                    "without power");
            for (Output output : plan.program().outputs()) {
                Surroundings around = Surroundings.of(plan).at(output);
                csv.writeRecord(
                        output.id(),
                        output.name(),
                        String.join(" ", output.loads()),
                        output.mode().name().toLowerCase(Locale.ROOT),
                        output.automatic().map(rule -> said(rule, around)).orElse(""),
                        output.protection().map(rule -> said(rule, around)).orElse(""),
                        output.lockout()
                                .map(Lockout::sentence)
                                .map(Sentence::plain)
                                .orElse(""),
                        output.testForce().name().toLowerCase(Locale.ROOT),
                        output.supply().orElse("main bus"),
                        output.rest().orElse(Output.Position.OPEN).name().toLowerCase(Locale.ROOT),
                        output.withoutPower()
                                .orElse(Output.Position.OPEN)
                                .name()
                                .toLowerCase(Locale.ROOT));
            }
        });
    }

    private static String said(Rule rule, Surroundings around) {
        return rule.sentence(around).plain();
    }

    private static String format(double value) {
        return new BigDecimal(value).round(TOLD).stripTrailingZeros().toPlainString();
    }
}
