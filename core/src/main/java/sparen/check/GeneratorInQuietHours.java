package sparen.check;

import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.program.Output;
import sparen.program.rule.GeneratorStart;
import sparen.quantity.Standard;
import sparen.result.Change;
import sparen.result.DayFigures;
import sparen.result.Event;
import sparen.result.RunResult;

/** A generator that ran on into its quiet hours: its least run, its cool-down or a hand kept it. */
final class GeneratorInQuietHours implements RunCheck {
    private static final double LOOK_SECONDS = 60;
    /** Less than this is its delay and nobody's trouble (h); judgement, no source. */
    private static final double WORTH_HOURS = 0.25;

    @Override
    public Stream<Finding> look(PlanFacts plan, RunResult run) {
        ZoneId zone = plan.site().location().zone();
        return plan.outputs().stream().flatMap(output -> output.automatic().stream()
                .filter(GeneratorStart.class::isInstance)
                .map(GeneratorStart.class::cast)
                .flatMap(rule -> look(output, rule, run, start(run, zone), zone)));
    }

    private Stream<Finding> look(Output output, GeneratorStart rule, RunResult run, Instant start, ZoneId zone) {
        double hours = 0;
        double since = Double.NaN;
        for (Event event : run.events()) {
            if (event.kind() != Event.Kind.GENERATOR || !output.loads().contains(event.subject())) {
                continue;
            }
            if (event.has(Change.RUNNING) && Double.isNaN(since)) {
                since = event.seconds();
            } else if (event.has(Change.STOPPED)) {
                hours += quietHours(rule, since, event.seconds(), start, zone);
                since = Double.NaN;
            }
        }
        hours += quietHours(rule, since, run.toldUntilSeconds(), start, zone);
        return hours < WORTH_HOURS
                ? Stream.empty()
                : Stream.of(finding(
                                Hazard.NUISANCE,
                                Severity.CAUTION,
                                output.id(),
                                "In the run the generator ran on into its quiet hours: a least run or its cool-down kept it.")
                        .about("program/outputs/" + output.id() + "/automatic/quietFromHour")
                        .number("ran in them", hours, "h")
                        .number("quiet from", rule.quietFromHour(), "h")
                        .number("to", rule.quietToHour(), "h"));
    }

    private static double quietHours(GeneratorStart rule, double from, double to, Instant start, ZoneId zone) {
        if (rule.quietHours().isEmpty()) {
            return 0;
        }
        double seconds = 0;
        for (double at = from; at < to; at += LOOK_SECONDS) {
            ZonedDateTime local = start.plusMillis(Math.round(at * 1000)).atZone(zone);
            seconds += rule.quietHours().get().contains(local) ? Math.min(LOOK_SECONDS, to - at) : 0;
        }
        return seconds / Standard.HOUR;
    }

    /** When the run began: a day of it that begins at midnight tells, the first where there is no other. */
    private static Instant start(RunResult run, ZoneId zone) {
        DayFigures day = run.days().get(Math.min(1, run.days().size() - 1));
        return day.date().atStartOfDay(zone).toInstant().minusMillis(Math.round(day.startSeconds() * 1000));
    }
}
