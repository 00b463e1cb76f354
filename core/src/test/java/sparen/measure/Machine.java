package sparen.measure;

import com.sun.management.ThreadMXBean;
import java.lang.management.ManagementFactory;

/** What can be told of this machine and of work done on it. */
public final class Machine {
    private static final int LOOPS = 20_000_000;

    private Machine() {}

    /** Bytes that this thread allocates for some work: the same on any machine, however busy, but for what the compiler saves. */
    public static long allocatedBytes(Runnable work) {
        ThreadMXBean threads = (ThreadMXBean) ManagementFactory.getThreadMXBean();
        long thread = Thread.currentThread().getId();
        long before = threads.getThreadAllocatedBytes(thread);
        work.run();
        return threads.getThreadAllocatedBytes(thread) - before;
    }

    /** A line to set measured times beside: how long a fixed loop of additions and square roots takes now, the least of seven (ms). */
    public static String calibration() {
        double least = Double.POSITIVE_INFINITY;
        double sum = 0;
        for (int run = 0; run < 7; run++) {
            long began = System.nanoTime();
            for (int i = 0; i < LOOPS; i++) {
                sum = 0.999 * sum + Math.sqrt(i);
            }
            least = Math.min(least, (System.nanoTime() - began) / 1e6);
        }
        return String.format("calibration loop %.0f ms (checksum %.3e)", least, sum);
    }
}
