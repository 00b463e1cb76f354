package sparen.program.rule;

import java.util.List;
import java.util.Optional;
import sparen.logic.Condition;
import sparen.logic.SwitchLogic;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;
import sparen.site.DailySpan;

/**
 * By the clock of the device that decides.
 *
 * @param spans closed within any of these, one at least
 */
public record ClockSchedule(List<DailySpan> spans) implements Rule {
    static final RuleKind KIND = new RuleKind(
            "clockSchedule",
            ClockSchedule.class,
            Purpose.LIGHT_AND_TIME,
            "by the clock",
            around -> Optional.of(new ClockSchedule(List.of(DailySpan.daily(8, 20)))));

    public ClockSchedule {
        spans = List.copyOf(Bounds.present("spans", spans));
        Bounds.within("spans", spans.size(), "spans", 1, 20);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        Condition inside = new Condition.AnyOf(
                spans.stream().map(span -> RuleConditions.within(around, span)).toList());
        return SwitchLogic.follows(inside, 0, 0, "its hours begin", "its hours are over");
    }

    @Override
    public Sentence sentence(Surroundings around) {
        Sentence said = Sentence.start("Closes from ");
        for (int i = 0; i < spans.size(); i++) {
            said = (i == 0 ? said : said.then(" and from ")).hours("spans." + i, spans.get(i));
        }
        return said.then(".");
    }

    @Override
    public boolean goesByClock() {
        return true;
    }
}
