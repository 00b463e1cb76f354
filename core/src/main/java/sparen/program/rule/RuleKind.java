package sparen.program.rule;

import java.util.Optional;
import java.util.function.Function;
import sparen.program.Rule;
import sparen.program.Surroundings;

/**
 * A kind of rule as it is registered.
 *
 * @param name in documents
 * @param type its record
 * @param purpose what it is for
 * @param title what it is called where one is chosen
 * @param usual one with usual numbers for an output of a site (the surroundings are seen from it), to be adapted; empty where the
 *     site lacks what it needs
 */
public record RuleKind(
        String name,
        Class<? extends Rule> type,
        Purpose purpose,
        String title,
        Function<Surroundings, Optional<Rule>> usual) {}
