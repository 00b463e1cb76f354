package sparen.program.rule;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.logic.SwitchLogic;
import sparen.logic.Way;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Free conditions: closes on one, opens on another, each after its delay.
 *
 * @param closesWhen what closes it
 * @param closeDelaySeconds for so long (s), 0 to 86,400
 * @param opensWhen what opens it; absent for: when the first no longer holds
 * @param openDelaySeconds for so long (s), 0 to 86,400
 * @param minimumRunSeconds closed so long at least (s), 0 to 86,400
 */
public record FreeRule(
        FreeCondition closesWhen,
        double closeDelaySeconds,
        Optional<FreeCondition> opensWhen,
        double openDelaySeconds,
        double minimumRunSeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "freeRule",
            FreeRule.class,
            Purpose.BY_HAND,
            "free condition",
            around -> Usual.bySensePoint(
                    around,
                    point -> new FreeRule(
                            new FreeCondition.Voltage(point, true, Usual.diversionOn(around.site())),
                            60,
                            Optional.of(new FreeCondition.Voltage(point, false, Usual.diversionOff(around.site()))),
                            60,
                            0)));

    public FreeRule {
        Bounds.present("closesWhen", closesWhen);
        Bounds.within("closeDelaySeconds", closeDelaySeconds, 0, 86_400);
        opensWhen = Bounds.orEmpty(opensWhen);
        Bounds.within("openDelaySeconds", openDelaySeconds, 0, 86_400);
        Bounds.within("minimumRunSeconds", minimumRunSeconds, 0, 86_400);
    }

    private FreeCondition opens() {
        return opensWhen.orElseGet(() -> new FreeCondition.Not(closesWhen));
    }

    @Override
    public List<String> requests() {
        return Stream.of(closesWhen, opens()).flatMap(FreeCondition::requests).toList();
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        String onBecause =
                said(Sentence.start(""), "closesWhen", closesWhen, around).plain();
        String offBecause =
                said(Sentence.start(""), "opensWhen", opens(), around).plain();
        return SwitchLogic.startsOff(
                        List.of(Way.when(closesWhen.compile(around), closeDelaySeconds, onBecause)),
                        List.of(Way.when(opens().compile(around), openDelaySeconds, offBecause)))
                .onAtLeast(minimumRunSeconds);
    }

    @Override
    public Sentence sentence(Surroundings around) {
        Sentence said = said(Sentence.start("Closes when "), "closesWhen", closesWhen, around)
                .then(" for ")
                .seconds("closeDelaySeconds", "close delay", closeDelaySeconds)
                .then(", opens when ");
        said = opensWhen.isPresent()
                ? said(said, "opensWhen", opensWhen.get(), around)
                : said.then("that no longer holds");
        return said.then(" for ")
                .seconds("openDelaySeconds", "open delay", openDelaySeconds)
                .then("; runs ")
                .seconds("minimumRunSeconds", "minimum run", minimumRunSeconds)
                .then(" at least.");
    }

    private static Sentence said(Sentence so, String path, FreeCondition condition, Surroundings around) {
        return condition.say(so, path, around);
    }
}
