package sparen.question;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import sparen.result.Held;
import sparen.result.RunResult;
import sparen.result.Trace;
import sparen.result.Window;

/**
 * A window of a run, as a picture needs it.
 *
 * @param trace of the window
 * @param lanes for how much of each bucket each output's contact was closed (fraction), by its id
 * @param held what was kept from charging; none for what never was
 */
public record RunView(Trace trace, Map<String, double[]> lanes, List<Held> held) {
    /** As a picture needs a trace of a run. */
    public static RunView of(RunResult result, Trace trace, Window window) {
        Map<String, double[]> lanes = new LinkedHashMap<>();
        result.outputs().forEach(output -> {
            double[] shares = output.closedShares(window, result.seconds());
            for (int i = 0; i < shares.length; i++) {
                // Rounded up, so that the shortest closing still shows.
                shares[i] = Double.isNaN(shares[i]) ? shares[i] : Math.ceil(shares[i] * 1000) / 1000;
            }
            lanes.put(output.output(), shares);
        });
        return new RunView(trace.rounded(), lanes, Held.of(result.events(), result.seconds(), window));
    }
}
