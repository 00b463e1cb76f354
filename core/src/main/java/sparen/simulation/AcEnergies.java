package sparen.simulation;

import sparen.power.AcSide;
import sparen.site.AcSource;

/** The energies that pass through an AC side in a step, and what they cost. */
final class AcEnergies {
    /** What its charger took from AC (J). */
    double chargerJoules;

    /** What came from the source at hand (J). */
    double importJoules;

    /** What went out to it (J). */
    double exportJoules;

    /** Sun on the AC side that nobody took (J). */
    double curtailedJoules;

    /** Sun on the AC side that was taken (J). */
    double sunUsedJoules;

    /**
     * Counts a step.
     *
     * @param seconds its length (s)
     * @param source at hand, null for none
     * @param sunWatts what the sun on the AC side could give (W)
     * @param chargerDcJoules what the charger gave to the main bus (J)
     * @param beforeJoules what loads before the inverter took on the source at hand (J)
     */
    void count(
            double seconds,
            AcSide side,
            AcSource source,
            double sunWatts,
            double chargerDcJoules,
            double beforeJoules) {
        chargerJoules = chargerDcJoules / side.chargerEfficiency();
        double surplus = side.surplusWatts() * seconds;
        double bySun = Math.min(surplus, chargerJoules);
        double left = surplus - bySun;
        importJoules = 0;
        exportJoules = 0;
        if (source != null) {
            double wanted = side.fixedImportWatts() * seconds + chargerJoules - bySun + beforeJoules;
            double out = side.outWatts() * seconds;
            double most = Math.max(0, side.arraysOutWatts(source) * seconds - out);
            double outBySun = Math.min(left, most);
            // Where the source comes in only one of both is seen: what is wanted beyond what goes out, or the other
            // way.
            importJoules = Math.max(0, wanted - out - outBySun);
            exportJoules = Math.max(0, out + outBySun - wanted);
            left -= outBySun;
        }
        curtailedJoules = left;
        sunUsedJoules = sunWatts * seconds - curtailedJoules;
    }
}
