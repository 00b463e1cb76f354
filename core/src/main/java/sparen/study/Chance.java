package sparen.study;

import java.util.List;

/**
 * How it goes for a critical load while nobody is there.
 *
 * @param load its id
 * @param cuts in how many weathers it was cut
 * @param low end of the 90 % interval of the chance (fraction), Wilson's
 * @param high other end
 * @param meanUnservedJoules not served where it was cut (J)
 */
public record Chance(String load, int cuts, double low, double high, double meanUnservedJoules) {
    /** Standard normal quantile of a 90 % interval. */
    private static final double Z = 1.645;

    static Chance of(String load, List<Absence.Outcome> outcomes) {
        double[] cut = outcomes.stream()
                .mapToDouble(one -> one.unserved().get(load))
                .filter(joules -> joules > Absence.CUT_JOULES)
                .toArray();
        double[] interval = wilson(cut.length, outcomes.size());
        double sum = 0;
        for (double joules : cut) {
            sum += joules;
        }
        return new Chance(load, cut.length, interval[0], interval[1], cut.length == 0 ? 0 : sum / cut.length);
    }

    /** Wilson, E. B., Probable inference, the law of succession, and statistical inference, JASA 22 (1927): the score interval. */
    static double[] wilson(int hits, int of) {
        double share = (double) hits / of;
        double z2 = Z * Z / of;
        double middle = (share + z2 / 2) / (1 + z2);
        double half = Z / (1 + z2) * Math.sqrt(share * (1 - share) / of + z2 / (4 * of));
        return new double[] {Math.max(0, middle - half), Math.min(1, middle + half)};
    }
}
