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
            double cost) {}
}
