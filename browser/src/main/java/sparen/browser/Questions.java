package sparen.browser;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import sparen.bench.LevelWalk;
import sparen.program.Plan;
import sparen.question.BenchRequest;
import sparen.question.Reading;
import sparen.question.SeasonAnswer;
import sparen.question.SeasonRequest;
import sparen.question.WalkRequest;
import sparen.question.Walked;
import sparen.sun.Weather;

/** What a page asks, by the names that the engine of the interface uses. */
enum Questions {
    /** What a plan says. */
    READING(Plan.class, plan -> Reading.of(plan, Map.of())),
    /** What a bench supply makes a program do. */
    BENCH(BenchRequest.class, BenchRequest::play),
    /** Every level walked. */
    WALK(WalkRequest.class, request -> Walked.of(request.plan())),
    /** A whole program walked once down and up. */
    WALK_THROUGH(WalkRequest.class, request -> LevelWalk.of(request.plan())),
    /** A run of some days. */
    SEASON(SeasonRequest.class, Questions::season);

    private final Function<Object, Object> answers;

    <Q> Questions(Class<Q> asked, Function<Q, Object> answer) {
        answers = tree -> Trees.write(answer.apply(Trees.read(asked, tree)));
    }

    /**
     * The answer to a question, both as trees.
     *
     * @throws Refused when it cannot be taken
     */
    static Object answer(String name, Object tree) {
        for (Questions question : values()) {
            if (question.name().equals(name)) {
                return question.answers.apply(tree);
            }
        }
        throw new Refused(
                "",
                "there is no question " + name + "; known are "
                        + List.of(values()).stream().map(Enum::name).collect(Collectors.joining(", ")));
    }

    private static Object season(SeasonRequest request) {
        Weather weather = request.run()
                .weather()
                .make(
                        request.run().plan().site().location(),
                        request.run().start(),
                        request.run().days() * 1440,
                        request.run().seed(),
                        file -> {
                            throw new Refused("/run/weather/file", "weather files are with the server");
                        },
                        () -> {});
        return SeasonAnswer.of(request.run().scenario(weather, Map.of()), request.window());
    }
}
