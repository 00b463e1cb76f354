package sparen.result;

import java.util.List;

/**
 * What came from a feeder in a run and went out to it, and what that cost.
 *
 * @param feeder its id
 * @param outageSeconds how long it was away (s)
 * @param bands one a price band, in the site's order, and last what fell outside all of them where anything did
 */
public record FeederFigures(String feeder, double outageSeconds, List<BandFigures> bands) {
    public FeederFigures {
        bands = List.copyOf(bands);
    }

    /** What came and went since it had counted so much. */
    public FeederFigures since(FeederFigures before) {
        return new FeederFigures(
                feeder,
                outageSeconds - before.outageSeconds,
                bands.stream().map(band -> band.since(before.bands)).toList());
    }

    /** Paid for what came less got for what went out, in the currency of the prices. */
    public double cost() {
        return bands.stream().mapToDouble(BandFigures::cost).sum();
    }

    /**
     * One price band.
     *
     * @param hours in words, such as 22:00 to 06:00
     * @param importPerKilowattHour its price (currency/kWh)
     * @param exportPerKilowattHour what is got for a unit given back (currency/kWh)
     * @param importKilowattHours taken (kWh)
     * @param exportKilowattHours given back (kWh)
     * @param cost paid less got
     */
    public record BandFigures(
            String hours,
            double importPerKilowattHour,
            double exportPerKilowattHour,
            double importKilowattHours,
            double exportKilowattHours,
            double cost) {
        /** The same less what a band of these hours had before; one that had nothing is not among them. */
        private BandFigures since(List<BandFigures> before) {
            return before.stream()
                    .filter(band -> band.hours.equals(hours))
                    .findFirst()
                    .map(band -> new BandFigures(
                            hours,
                            importPerKilowattHour,
                            exportPerKilowattHour,
                            importKilowattHours - band.importKilowattHours,
                            exportKilowattHours - band.exportKilowattHours,
                            cost - band.cost))
                    .orElse(this);
        }
    }
}
