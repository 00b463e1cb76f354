package sparen.question;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.check.Checks;
import sparen.check.Finding;
import sparen.examined.PlanFacts;
import sparen.format.Profile;
import sparen.gauge.Gauge;
import sparen.gauge.Rating;
import sparen.program.AcProgram;
import sparen.program.ChargeDetails;
import sparen.program.Contact;
import sparen.program.DeviceClock;
import sparen.program.Lockout;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.revision.UsualCharging;
import sparen.setting.Setting;
import sparen.working.Conductor;
import sparen.working.Working;
import sparen.working.Workings;

/**
 * What a plan says: the sentences of its outputs, what is wrong with it, what can be worked out for it, all its levels, its settings by
 * device, what is used of ratings, what a charger's further settings usually begin with, by charger, what its
 * conductors carry, who feeds and charges on the AC side, and which requests by hand a rule or a lockout waits for.
 */
public record Reading(
        List<OutputReading> outputs,
        List<Finding> findings,
        List<Working> workings,
        Gauge gauge,
        List<Setting> settings,
        List<Rating> ratings,
        Map<String, ChargeDetails> usualCharging,
        List<Conductor> conductors,
        List<AcProgram.Case> acCases,
        List<String> requests) {

    /** The sentences of one output's rules, lockout, contact and clock. */
    public record OutputReading(
            String output,
            Optional<Sentence> automatic,
            Optional<Sentence> protection,
            Optional<Sentence> lockout,
            Optional<Sentence> contact,
            Optional<Sentence> clock) {
        private static OutputReading of(Surroundings site, Output output) {
            Surroundings around = site.at(output);
            return new OutputReading(
                    output.id(),
                    output.automatic().map(rule -> rule.sentence(around)),
                    output.protection().map(rule -> rule.sentence(around)),
                    output.lockout().map(Lockout::sentence),
                    output.contact().map(Contact::sentence),
                    output.clock().map(DeviceClock::sentence));
        }
    }

    /** Of a plan, with the profiles that it names. */
    public static Reading of(Plan plan, Map<String, Profile> named) {
        PlanFacts facts = new PlanFacts(plan, named);
        Surroundings site = Surroundings.of(plan);
        return new Reading(
                plan.program().outputs().stream()
                        .map(output -> OutputReading.of(site, output))
                        .toList(),
                Checks.of(facts),
                Workings.of(facts),
                Gauge.of(facts),
                facts.settings(),
                Rating.of(facts),
                UsualCharging.of(plan),
                Conductor.of(facts),
                plan.program().ac().map(ac -> ac.cases(plan.site().blendsSun())).orElse(List.of()),
                site.requests());
    }
}
