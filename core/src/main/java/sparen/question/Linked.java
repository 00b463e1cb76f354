package sparen.question;

import java.util.List;
import sparen.quantity.Bounds;
import sparen.result.Event;
import sparen.result.RunResult;
import sparen.study.Chain;

/** A link of a chain with its event; an event is absent where the link tells what days brought. */
public record Linked(Chain.Link link, List<Event> event) {
    /**
     * How an event of a run came about.
     *
     * @param index its number in the run
     */
    public static List<Linked> of(RunResult result, int index) {
        Bounds.within("index", index, 0, result.events().size() - 1.0);
        return Chain.of(result, index).stream()
                .map(link -> new Linked(
                        link,
                        link.event() < 0 ? List.of() : List.of(result.events().get(link.event()))))
                .toList();
    }
}
