package sparen.browser;

import java.util.List;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import sparen.bench.LevelWalk;
import sparen.program.Plan;
import sparen.question.BenchRequest;
import sparen.question.Reading;
import sparen.question.SeasonAnswer;
import sparen.question.SeasonRequest;
import sparen.question.SiteFiles;
import sparen.question.WalkRequest;
import sparen.question.Walked;

/** What a page asks, by the names that the engine of the interface uses. */
enum Questions {
    /** What a plan says. */
    READING(Plan.class, (plan, files) -> Reading.of(plan, files.profiles())),
    /** What a bench supply makes a program do. */
    BENCH(BenchRequest.class, (request, files) -> request.play()),
    /** Every level walked. */
    WALK(WalkRequest.class, (request, files) -> Walked.of(request.plan())),
    /** A whole program walked once down and up. */
    WALK_THROUGH(WalkRequest.class, (request, files) -> LevelWalk.of(request.plan())),
    /** A run of some days. */
    SEASON(SeasonRequest.class, SeasonAnswer::of);

    private final BiFunction<Object, SiteFiles, Object> answers;

    <Q> Questions(Class<Q> asked, BiFunction<Q, SiteFiles, Object> answer) {
        answers = (tree, files) -> Trees.write(answer.apply(Trees.read(asked, tree), files));
    }

    /**
     * The answer to a question, both as trees.
     *
     * @param files what was measured for the site, as a tree; null for nothing
     * @throws Refused when it cannot be taken
     */
    static Object answer(String name, Object tree, Object files) {
        for (Questions question : values()) {
            if (question.name().equals(name)) {
                return question.answers.apply(
                        tree, files == null ? SiteFiles.NONE : Trees.read(SiteFiles.class, files));
            }
        }
        throw new Refused(
                "",
                "there is no question " + name + "; known are "
                        + List.of(values()).stream().map(Enum::name).collect(Collectors.joining(", ")));
    }
}
