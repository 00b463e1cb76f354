package sparen.program;

import java.util.List;
import sparen.quantity.Bounds;

/**
 * What becomes of an output whose protection keeps opening it: each trip within the time makes it wait longer, and after so many it
 * stays open.
 *
 * @param trips after so many openings by protection, 1 to 100,
 * @param withinSeconds within this (s), 1 to 2,592,000, it stays open
 * @param growthFactor each trip before that makes it wait so many times longer than the last before it closes again, 1 to 10
 * @param firstWaitSeconds wait after the first trip (s), 0 to 86,400
 * @param release what lets it close again
 * @param waitSeconds how long it stays open where time releases it (s), 0 to 2,592,000
 */
public record Lockout(
        int trips,
        double withinSeconds,
        double growthFactor,
        double firstWaitSeconds,
        Release release,
        double waitSeconds) {
    /** What lets a locked-out output close again. */
    public enum Release {
        /** Its wait is over. */
        TIME,
        /** The sun rises. */
        DAWN,
        /** Somebody resets it: in a run, and on the bench, the request {@link #resetOf}. */
        HAND
    }

    /** The request by which somebody resets the lockout of an output. */
    public static String resetOf(String output) {
        String name = "reset-" + output;
        return name.substring(0, Math.min(name.length(), Bounds.LONGEST_ID));
    }

    public Lockout {
        Bounds.within("trips", trips, "trips", 1, 100);
        Bounds.within("withinSeconds", withinSeconds, 1, 2_592_000);
        Bounds.within("growthFactor", growthFactor, "×", 1, 10);
        Bounds.within("firstWaitSeconds", firstWaitSeconds, 0, 86_400);
        Bounds.present("release", release);
        Bounds.within("waitSeconds", waitSeconds, 0, 2_592_000);
    }

    /** How it is said. */
    public Sentence sentence() {
        Sentence said = Sentence.start("Each trip makes it wait ")
                .seconds("firstWaitSeconds", "first wait", firstWaitSeconds)
                .then(", every next one ")
                .number("growthFactor", "growth", growthFactor, "×", 0.5, 1, 1, 10)
                .then(" as long; after ")
                .number("trips", "trips", trips, "trips", 1, 5, 1, 100)
                .then(" within ")
                .seconds("withinSeconds", "within", withinSeconds, 1, 2_592_000)
                .then(" it stays open until ")
                .choice(
                        "release",
                        "release",
                        release.name(),
                        List.of(
                                new Sentence.Choice("TIME", "its wait is over"),
                                new Sentence.Choice("DAWN", "dawn"),
                                new Sentence.Choice("HAND", "somebody resets it")));
        return release == Release.TIME
                ? said.then(", ")
                        .seconds("waitSeconds", "lockout", waitSeconds, 2_592_000)
                        .then(".")
                : said.then(".");
    }
}
