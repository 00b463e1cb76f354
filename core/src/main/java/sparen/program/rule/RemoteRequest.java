package sparen.program.rule;

import java.util.List;
import java.util.Optional;
import sparen.logic.SwitchLogic;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Closes on request by hand or from afar, and lets go by itself.
 *
 * @param request name of the request, such as a button
 * @param longestRunSeconds opens after so long and waits for the request to be made anew (s), 1 to 604,800
 */
public record RemoteRequest(String request, double longestRunSeconds) implements Rule {
    static final RuleKind KIND = new RuleKind(
            "remoteRequest",
            RemoteRequest.class,
            Purpose.BY_HAND,
            "remote request",
            around -> Optional.of(new RemoteRequest("button", 3600)));

    public RemoteRequest {
        Bounds.id("request", request);
        Bounds.within("longestRunSeconds", longestRunSeconds, 1, 604_800);
    }

    @Override
    public List<String> requests() {
        return List.of(request);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        return SwitchLogic.follows(
                        RuleConditions.isOne(around.request(request)),
                        0,
                        0,
                        "requested: " + request,
                        "the request is withdrawn")
                .onAtMost(longestRunSeconds);
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Closes on the request \"" + request + "\", for ")
                .seconds("longestRunSeconds", "longest run", longestRunSeconds, 1, 604_800)
                .then(" at most.");
    }
}
