package sparen.simulation;

import java.util.Map;
import sparen.program.Plan;
import sparen.question.SiteFiles;

/** Plans of random sites, for tests of other modules. */
public final class RandomPlans {
    private RandomPlans() {}

    /** The same seed gives the same plan. */
    public static Plan of(int seed) {
        return RandomSitesTest.random(seed).plan();
    }

    /** What the plan of a seed names. */
    public static SiteFiles files(int seed) {
        return new SiteFiles(RandomSitesTest.random(seed).profiles, Map.of());
    }
}
