package sparen.table;

import java.util.ArrayList;
import java.util.List;

/** The lines of a file that were refused: all are counted, the first of them kept. */
public final class BadLines {
    /** So many are kept. */
    public static final int KEPT = 50;

    private final List<BadLine> kept = new ArrayList<>();
    private int count;

    /** Refuses a line; NaN, for what it would have said. */
    public double refuse(long line, String reason) {
        count++;
        if (kept.size() < KEPT) {
            kept.add(new BadLine(line, reason));
        }
        return Double.NaN;
    }

    /** The first of them, in the order they were met. */
    public List<BadLine> kept() {
        return List.copyOf(kept);
    }

    /** How many there are. */
    public int count() {
        return count;
    }

    /** Whether nothing was refused. */
    public boolean isNone() {
        return count == 0;
    }
}
