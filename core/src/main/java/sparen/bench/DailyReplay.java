package sparen.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import sparen.format.DailyFigure;
import sparen.program.Level;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Rule;
import sparen.site.SensePoint;

/**
 * On which days a level of a program was reached by the lowest or highest voltage of the day. Whether it was held for its delay, and for
 * how long the output stood otherwise, daily figures cannot tell.
 *
 * @param output id of the output
 * @param term the trade's term for the level
 * @param volts of the level as it is read (V)
 * @param isFalling whether it acts when it is fallen to
 * @param days on which it was reached
 */
public record DailyReplay(String output, String term, double volts, boolean isFalling, List<LocalDate> days) {
    /** Of all levels of the rules that act, by voltage; in the program's order. */
    public static List<DailyReplay> of(Plan plan, List<DailyFigure> figures) {
        List<DailyReplay> all = new ArrayList<>();
        for (Output output : plan.program().outputs()) {
            Stream.concat(
                            output.mode() == Mode.BY_RULE ? output.automatic().stream() : Stream.empty(),
                            output.protection().stream())
                    .map(rule -> (Rule) rule)
                    .flatMap(rule -> rule.levels().stream())
                    .filter(level -> level.sensePoint().isPresent()
                            && level.value() > 0
                            && !level.role().percent())
                    .forEach(level -> all.add(level(plan, output, level, figures)));
        }
        return List.copyOf(all);
    }

    private static DailyReplay level(Plan plan, Output output, Level level, List<DailyFigure> figures) {
        double offset = level.sensePoint()
                .map(plan.site()::sensePoint)
                .map(SensePoint::offsetVolts)
                .orElse(0.0);
        boolean falling = level.role().falling();
        double truth = level.value() - offset;
        List<LocalDate> days = figures.stream()
                .filter(one -> falling
                        ? one.lowestVolts() <= truth
                        : one.highestVolts().filter(highest -> highest >= truth).isPresent())
                .map(DailyFigure::day)
                .toList();
        return new DailyReplay(output.id(), level.term(), level.value(), falling, days);
    }
}
