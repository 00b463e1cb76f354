package sparen.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import sparen.logic.Signal;
import sparen.output.OutputAtWork;
import sparen.power.Brake;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.PartEvent;
import sparen.series.Stay;
import sparen.site.DcSource;
import sparen.site.Site;

/**
 * The generators of direct current of a plan on a bench supply: each brakes at the imposed voltage. One by the clock gives in its hours,
 * one by a profile all the time.
 */
final class SourcesAtBench {
    private final List<AtBench> sources = new ArrayList<>();

    private static final class AtBench {
        final DcSource source;
        final Brake brake;
        boolean enabled = true;

        AtBench(DcSource source) {
            this.source = source;
            brake = new Brake(source);
        }
    }

    SourcesAtBench(Site site) {
        site.dcSources().forEach(one -> sources.add(new AtBench(one)));
    }

    /** Carries an output's position to a generator it enables. */
    void connect(OutputAtWork output, String id) {
        for (AtBench one : sources) {
            if (one.source.id().equals(id)) {
                one.enabled = output.isClosed();
            }
        }
    }

    /** Lets all brakes look at an instant (s); what moved. */
    List<PartEvent> settle(double now, double busVolts) {
        List<PartEvent> happened = new ArrayList<>();
        for (AtBench one : sources) {
            Fact moved = one.brake.settle(now, busVolts);
            if (moved != null) {
                happened.add(new PartEvent(Event.Kind.BRAKE, one.source.id(), moved));
            }
        }
        return happened;
    }

    /** When a brake may let go (s). */
    double dueSeconds() {
        return dueOf(Optional.empty());
    }

    /** The same of one generator; infinite for what is none. */
    double dueOf(String subject) {
        return dueOf(Optional.of(subject));
    }

    private double dueOf(Optional<String> subject) {
        return sources.stream()
                .filter(one -> subject.map(one.source.id()::equals).orElse(true))
                .mapToDouble(one -> one.brake.dueSeconds())
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    /** Says within which bounds of the bus (V) all stay as they are. */
    void watch(Stay stay, double[] volts) {
        sources.forEach(one -> one.brake.watch(stay, volts));
    }

    /** How they stand. */
    List<BenchState.SourceAtBench> standing(double[] values) {
        return sources.stream()
                .map(one -> new BenchState.SourceAtBench(
                        one.source.id(),
                        one.enabled && !one.brake.isOn() && turns(one.source, values),
                        one.brake.isOn()))
                .toList();
    }

    private static boolean turns(DcSource source, double[] values) {
        return source.byClock()
                .map(steady -> steady.when().holdsAt(values[Signal.LOCAL_HOUR]))
                .orElse(true);
    }
}
