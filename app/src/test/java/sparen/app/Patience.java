package sparen.app;

import java.util.concurrent.TimeUnit;

/** Waiting for something to become so, on a machine that may be busy with other things. */
public final class Patience {
    /** Nobody waits longer; what takes so long never comes. */
    private static final long END_SECONDS = 300;

    private static final long BETWEEN_LOOKS_MILLIS = 20;

    private Patience() {}

    /** A question that may fail. */
    @FunctionalInterface
    public interface Question {
        /** Whether it is so by now. */
        boolean yes() throws Exception;
    }

    /**
     * Returns as soon as it is so.
     *
     * @param what for the message, should it never be
     */
    public static void until(String what, Question question) {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(END_SECONDS);
        try {
            while (!question.yes()) {
                if (System.nanoTime() > end) {
                    throw new AssertionError("waited in vain for: " + what);
                }
                TimeUnit.MILLISECONDS.sleep(BETWEEN_LOOKS_MILLIS);
            }
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(interrupted);
        } catch (RuntimeException failure) {
            throw failure;
        } catch (Exception failure) {
            throw new IllegalStateException(what, failure);
        }
    }
}
