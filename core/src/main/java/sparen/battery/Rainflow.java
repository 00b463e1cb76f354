package sparen.battery;

/**
 * Counts cycles in a course of turning points.
 *
 * <p>Source: ASTM E1049-85, section 5.4.4, rainflow counting, from memory. A range counts as a full cycle when the next range is at
 * least as large and it does not hold the starting point; what is left at the end counts as halves.
 */
public final class Rainflow {
    private final double[] ranges;
    private final double[] counts;
    private int size;

    private Rainflow(int most) {
        ranges = new double[most];
        counts = new double[most];
    }

    /**
     * Counts a course.
     *
     * @param turningPoints peaks and valleys by turns, in any unit
     */
    public static Rainflow of(double[] turningPoints) {
        Rainflow result = new Rainflow(Math.max(1, turningPoints.length));
        double[] kept = new double[turningPoints.length];
        int held = 0;
        int start = 0;
        for (double point : turningPoints) {
            kept[held++] = point;
            while (held - start >= 3) {
                double last = Math.abs(kept[held - 1] - kept[held - 2]);
                double before = Math.abs(kept[held - 2] - kept[held - 3]);
                if (last < before) {
                    break;
                }
                if (held - start == 3) {
                    result.add(before, 0.5);
                    start++;
                } else {
                    result.add(before, 1);
                    kept[held - 3] = kept[held - 1];
                    held -= 2;
                }
            }
        }
        for (int i = start; i + 1 < held; i++) {
            result.add(Math.abs(kept[i + 1] - kept[i]), 0.5);
        }
        return result;
    }

    private void add(double range, double count) {
        ranges[size] = range;
        counts[size++] = count;
    }

    /** The cycles counted with a range from {@code least} to below {@code most}. */
    public double cycles(double least, double most) {
        double sum = 0;
        for (int i = 0; i < size; i++) {
            if (ranges[i] >= least && ranges[i] < most) {
                sum += counts[i];
            }
        }
        return sum;
    }

    /** Sum of range × count: the number of full cycles that move as much charge. */
    public double equivalentFullCycles() {
        double sum = 0;
        for (int i = 0; i < size; i++) {
            sum += ranges[i] * counts[i];
        }
        return sum;
    }
}
