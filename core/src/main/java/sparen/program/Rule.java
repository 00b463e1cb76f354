package sparen.program;

import java.util.List;
import sparen.logic.SwitchLogic;
import sparen.program.rule.Rules;

/**
 * A rule of an output. Each kind is one record in a file of its own: its data, how it acts, how it is said, and what is usual. {@link
 * Rules} lists them all.
 */
public interface Rule {
    /**
     * The parts it acts by; on means contact closed.
     *
     * @throws sparen.quantity.InvalidQuantity when it names what is not there
     */
    SwitchLogic compile(Surroundings around);

    /** How it is said, with its numbers as chips; fields are paths relative to the rule, such as {@code quiet.fromHour}. */
    Sentence sentence(Surroundings around);

    /** The levels at which it acts. */
    default List<Level> levels() {
        return List.of();
    }

    /** Names of requests by hand that it waits for. */
    default List<String> requests() {
        return List.of();
    }

    /** Whether it goes by the hour of its device's clock: a clock that is wrong or forgets makes it act at other times. */
    default boolean goesByClock() {
        return false;
    }
}
