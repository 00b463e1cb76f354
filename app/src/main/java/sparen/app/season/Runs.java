package sparen.app.season;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import sparen.app.profile.ProfileService;
import sparen.question.RunInputs;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.simulation.Simulation.Recorded;
import sparen.study.Progress;

/** Runs what is asked for, and keeps the latest runs whole in memory, so that looking closer needs no new run. */
@Component
class Runs {
    private final Weathers weathers;
    private final ProfileService profiles;
    private final long mostBytes;
    private final Map<String, Recorded> recent = new LinkedHashMap<>(16, 0.75f, true);

    Runs(Weathers weathers, ProfileService profiles, @Value("${sparen.runs-in-memory-megabytes:256}") long megabytes) {
        this.weathers = weathers;
        this.profiles = profiles;
        mostBytes = megabytes << 20;
    }

    /** Inputs as the engine takes them. */
    Scenario scenario(String siteId, RunInputs inputs) {
        return scenario(siteId, inputs, Progress.NONE);
    }

    /**
     * The same; making its weather hears whether to stop.
     *
     * @throws Simulation.RunCancelled when it is to
     */
    Scenario scenario(String siteId, RunInputs inputs, Progress progress) {
        return inputs.scenario(weathers.of(siteId, inputs, progress), profiles.namedIn(siteId, inputs.plan()));
    }

    /** Runs a scenario and keeps it under a key. */
    Recorded run(String key, Scenario scenario, Simulation.Watch watch) {
        Recorded made = Simulation.prepare(scenario).record(watch);
        synchronized (recent) {
            recent.put(key, made);
            long bytes = recent.values().stream()
                    .mapToLong(one -> one.recording().bytes())
                    .sum();
            Iterator<Recorded> oldest = recent.values().iterator();
            while (bytes > mostBytes && recent.size() > 1) {
                bytes -= oldest.next().recording().bytes();
                oldest.remove();
            }
        }
        return made;
    }

    /** The run that is kept under a key, run again where it no longer is, or was run by another node. */
    Recorded kept(String key, Supplier<Scenario> scenario) {
        synchronized (recent) {
            Recorded known = recent.get(key);
            if (known != null) {
                return known;
            }
        }
        return run(key, scenario.get(), Simulation.Watch.NONE);
    }
}
