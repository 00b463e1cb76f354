package sparen.simulation;

import java.util.ArrayList;
import java.util.List;
import sparen.format.Profile;
import sparen.site.AcCoupledArray;
import sparen.site.ChargeController;
import sparen.site.DcSource;
import sparen.site.Site;
import sparen.site.SolarArray;
import sparen.sun.ArrayOutput;

/** What weather and seeds bring to a site, worked out once for any number of runs on any number of threads. Nothing here changes. */
final class SiteInputs {
    final List<ArrayInput> controllers = new ArrayList<>();
    final List<ArrayInput> acArrays = new ArrayList<>();
    final double[] sinesOfAltitude;
    private final Scenario scenario;
    private final double[][] arrayVolts;
    private final List<StepInput> patterns = new ArrayList<>();
    private final List<StepInput> dcSources = new ArrayList<>();

    SiteInputs(Scenario scenario) {
        Site site = scenario.plan().site();
        this.scenario = scenario;
        arrayVolts = new double[site.controllers().size()][];
        sinesOfAltitude = scenario.weather().sinesOfAltitude();
        for (ChargeController controller : site.controllers()) {
            double[] watts = new double[scenario.weather().minutes()];
            double[] amperes = controller.pulses() ? new double[watts.length] : null;
            for (SolarArray array : site.arrays()) {
                if (controller.arrays().contains(array.id())) {
                    add(array, scenario, watts, amperes);
                }
            }
            controllers.add(ArrayInput.of(watts, amperes));
        }
        for (AcCoupledArray coupled : site.acArrays()) {
            double[] watts = new double[scenario.weather().minutes()];
            site.arrays().stream()
                    .filter(array -> array.id().equals(coupled.array()))
                    .forEach(array -> add(array, scenario, watts, null));
            acArrays.add(ArrayInput.of(watts, null));
        }
        LocalClock clock = new LocalClock(
                scenario.start(), scenario.durationSeconds(), site.location().zone());
        for (int i = 0; i < site.loads().size(); i++) {
            patterns.add(LoadPattern.of(site.loads().get(i), scenario, clock, i));
        }
        for (var source : site.dcSources()) {
            dcSources.add(source.byClock()
                    .map(steady -> byClock(steady, clock, scenario.durationSeconds()))
                    .orElseGet(() -> byProfile(source.profile().orElseThrow(), scenario)));
        }
    }

    private static StepInput byProfile(String id, Scenario scenario) {
        Profile profile = scenario.profiles().get(id);
        return StepInput.ofProfile(profile, profile.shiftSeconds(scenario.start()));
    }

    private static StepInput byClock(DcSource.Steady steady, LocalClock clock, double seconds) {
        List<double[]> steps = new ArrayList<>();
        for (double at = 0; at < seconds; at = clock.nextEdge(steady.when(), at)) {
            clock.moveTo(at);
            steps.add(new double[] {at, steady.when().contains(clock.local(at)) ? steady.watts() : 0});
        }
        return StepInput.ofSteps(
                steps.stream().mapToDouble(step -> step[0]).toArray(),
                steps.stream().mapToDouble(step -> step[1]).toArray());
    }

    /** An array tied to the battery by pulses pushes the current of its maximum power point, whatever the battery's voltage. */
    private static void add(SolarArray array, Scenario scenario, double[] sum, double[] amperes) {
        double[] watts = ArrayOutput.watts(
                array,
                scenario.weather(),
                scenario.start(),
                scenario.plan().site().location().zone());
        for (int i = 0; i < watts.length; i++) {
            sum[i] += watts[i];
            if (amperes != null) {
                amperes[i] += watts[i] / array.string().orElseThrow().maximumPowerVolts();
            }
        }
    }

    /** Open-circuit voltage of the arrays of a controller, minute by minute (V); worked out when first asked for. */
    synchronized double[] arrayVolts(int controller) {
        if (arrayVolts[controller] == null) {
            Site site = scenario.plan().site();
            double[] highest = new double[scenario.weather().minutes()];
            for (SolarArray array : site.arrays()) {
                if (site.controllers().get(controller).arrays().contains(array.id())) {
                    double[] volts = ArrayOutput.openCircuitVolts(
                            array,
                            scenario.weather(),
                            scenario.start(),
                            site.location().zone());
                    for (int i = 0; i < highest.length; i++) {
                        highest[i] = Math.max(highest[i], volts[i]);
                    }
                }
            }
            arrayVolts[controller] = highest;
        }
        return arrayVolts[controller];
    }

    /** A load's steps from the start on, null for one that draws the same all the time. */
    StepInput pattern(int load) {
        StepInput pattern = patterns.get(load);
        return pattern == null ? null : pattern.fresh();
    }

    StepInput dcSource(int source) {
        return dcSources.get(source).fresh();
    }
}
