package sparen.browser;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import sparen.bench.LevelWalk;
import sparen.handover.CabinetCard;
import sparen.logbook.KindOffered;
import sparen.program.Plan;
import sparen.question.BenchRequest;
import sparen.question.HandoverRequest;
import sparen.question.LogRequest;
import sparen.question.NewDismissal;
import sparen.question.NewLevels;
import sparen.question.OfferRequest;
import sparen.question.ProposedChange;
import sparen.question.Reading;
import sparen.question.RunInputs;
import sparen.question.RunLook;
import sparen.question.RunRequest;
import sparen.question.SeasonAnswer;
import sparen.question.SeasonRequest;
import sparen.question.SiteFiles;
import sparen.question.StartRequest;
import sparen.question.TestRequest;
import sparen.question.VisitRequest;
import sparen.question.WalkRequest;
import sparen.question.Walked;
import sparen.site.Location;
import sparen.sun.Climate;

/** What a page asks, by the names that the engine of the interface uses. */
enum Questions {
    /** What a plan says. */
    READING(Plan.class, plan -> plan, (plan, files) -> Reading.of(plan, files.profiles())),
    /** What a bench supply makes a program do. */
    BENCH(BenchRequest.class, BenchRequest::plan, (request, files) -> request.play()),
    /** Every level walked. */
    WALK(WalkRequest.class, WalkRequest::plan, (request, files) -> Walked.of(request.plan())),
    /** A whole program walked once down and up. */
    WALK_THROUGH(WalkRequest.class, WalkRequest::plan, (request, files) -> LevelWalk.of(request.plan())),
    /** The plan with a cure, or a number that was worked out. */
    CHANGE(ProposedChange.class, ProposedChange::plan, (change, files) -> there(change.take(files), change.says())),
    /** The plan with a finding left as it is. */
    DISMISSAL(NewDismissal.class, NewDismissal::plan, (wanted, files) -> there(wanted.take(files), wanted.check())),
    /** The plan with levels of a 12 V battery. */
    SCALED(NewLevels.class, NewLevels::plan, (wanted, files) -> wanted.scaled()),
    /** Rules for an output. */
    OFFERS(OfferRequest.class, OfferRequest::plan, (wanted, files) -> there(wanted.offers(), wanted.output())),
    /** A run of some days. */
    SEASON(SeasonRequest.class, request -> request.run().plan(), Questions::season),
    /** A run of any length, which is kept. */
    RUN(RunRequest.class, request -> request.run().plan(), (request, files) -> {
        atHand(request.run(), files);
        return KeptRuns.run(request, files);
    }),
    /** A window of a run that is kept. */
    RUN_VIEW(RunLook.class, (look, files) -> KeptRuns.view(look)),
    /** Its events. */
    RUN_EVENTS(RunLook.class, (look, files) -> KeptRuns.events(look)),
    /** How one of them came about. */
    RUN_CHAIN(RunLook.class, (look, files) -> KeptRuns.chain(look)),
    /** What a part of it holds. */
    RUN_PART(RunLook.class, (look, files) -> KeptRuns.part(look)),
    /** The months of a place, as its latitude suggests them. */
    CLIMATE(Location.class, (place, files) -> Climate.atLatitude(place.latitudeDegrees())),
    /** What the log offers to write. */
    KINDS(Plan.class, (plan, files) -> KindOffered.of(plan)),
    /** The card that hangs on the cabinet. */
    CARD(Plan.class, (plan, files) -> CabinetCard.of(plan)),
    /** A visit of which more was said. */
    VISIT(VisitRequest.class, (request, files) -> request.visited()),
    /** A test on the bench of which more was measured. */
    TEST(TestRequest.class, (request, files) -> request.judged()),
    /** A log into which more was written. */
    LOG(LogRequest.class, (request, files) -> request.says()),
    /** Devices of which more was read off. */
    HANDOVER(HandoverRequest.class, (request, files) -> request.says()),
    /** A site that begins. */
    START(StartRequest.class, (request, files) -> request.started());

    private final BiFunction<Object, SiteFiles, Object> answers;

    /** A question that is answered without what was measured for the site. */
    <Q> Questions(Class<Q> asked, BiFunction<Q, SiteFiles, Object> answer) {
        answers = (tree, files) -> Trees.write(answer.apply(Trees.read(asked, tree), files));
    }

    /** A question about a plan that may name what was measured for the site. */
    <Q> Questions(Class<Q> asked, Function<Q, Plan> of, BiFunction<Q, SiteFiles, Object> answer) {
        answers = (tree, files) -> {
            Q question = Trees.read(asked, tree);
            of.apply(question).site().profiles().stream()
                    .filter(profile -> !files.profiles().containsKey(profile))
                    .findFirst()
                    .ifPresent(profile -> {
                        throw new NotAtHand("the profile " + profile);
                    });
            return Trees.write(answer.apply(question, files));
        };
    }

    /** Something that the question names is not here; who has it is to be asked. */
    static final class NotAtHand extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NotAtHand(String what) {
            super(what);
        }
    }

    /**
     * The answer to a question, both as trees.
     *
     * @param files what was measured for the site, as a tree; null for nothing
     * @throws Refused when it cannot be taken
     * @throws NotAtHand when it names a profile or a weather file that is not among the files
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

    private static Object there(Optional<?> found, String what) {
        return found.isPresent() ? found.get() : notAtHand(what);
    }

    private static Object notAtHand(String what) {
        throw new NotAtHand(what);
    }

    private static SeasonAnswer season(SeasonRequest request, SiteFiles files) {
        atHand(request.run(), files);
        return SeasonAnswer.of(request, files);
    }

    private static void atHand(RunInputs run, SiteFiles files) {
        run.weather().file().filter(file -> !files.weather().containsKey(file)).ifPresent(file -> {
            throw new NotAtHand("the weather file " + file);
        });
    }
}
