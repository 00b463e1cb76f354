package sparen.simulation;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;
import sparen.result.OutputFigures;
import sparen.result.Window;

/** How much of each span of a window a contact was closed, against a count second by second. */
public class LanesTest {
    private static final double END = 5000;

    private static OutputFigures output(boolean startsClosed, double... changes) {
        return new OutputFigures(
                "o",
                startsClosed,
                changes.length,
                0,
                0,
                0,
                Optional.empty(),
                false,
                changes,
                List.of(),
                startsClosed,
                "");
    }

    /** The state at an instant, by looking through all changes. */
    private static boolean closed(OutputFigures output, double seconds) {
        boolean closed = output.startsClosed();
        for (double change : output.changeSeconds()) {
            closed ^= change > 0 && change <= seconds;
        }
        return closed;
    }

    @Test
    public void sharesAreWhatASecondBySecondCountFinds() {
        Random random = new Random(4);
        for (int round = 0; round < 60; round++) {
            double[] changes = random.ints(random.nextInt(40), 0, (int) END)
                    .distinct()
                    .sorted()
                    .asDoubleStream()
                    .toArray();
            OutputFigures output = output(random.nextBoolean(), changes);
            double from = random.nextInt(4000);
            int buckets = 1 + random.nextInt(12);
            int width = 1 + random.nextInt(60);
            double[] shares = output.closedShares(new Window(from, from + buckets * width, buckets), END);
            for (int b = 0; b < buckets; b++) {
                double start = from + b * width;
                if (start >= END) {
                    assertTrue(Double.isNaN(shares[b]), "beyond the run");
                    continue;
                }
                int count = 0;
                for (int s = 0; s < width; s++) {
                    count += start + s < END && closed(output, start + s) ? 1 : 0;
                }
                assertEquals(shares[b], (double) count / width, 1e-9, "round " + round + ", bucket " + b);
            }
        }
    }

    /** A change at the first instant belongs to the state it starts in; one of a hundredth of a second still counts. */
    @Test
    public void theFirstInstantAndTheShortestClosing() {
        OutputFigures output = output(true, 0, 100, 200, 200.01);
        double[] shares = output.closedShares(new Window(0, 400, 4), END);
        assertEquals(shares[0], 1, 1e-12);
        assertEquals(shares[1], 0, 1e-12);
        assertEquals(shares[2], 1e-4, 1e-9);
        assertEquals(output.movedBefore(150), 1);
        assertEquals(output.movedBefore(END), 3);
    }
}
