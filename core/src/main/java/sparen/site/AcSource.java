package sparen.site;

import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;

/** What can bring AC to a transfer switch. */
public sealed interface AcSource {
    /** Its name in references. */
    String id();

    /** What the crew calls it. */
    String name();

    /** What one leg can give (W). */
    double legWatts(double acVolts);

    /** How many legs it has. */
    int legs();

    /** Two legs from this nominal voltage on (V) have it between them. */
    double BETWEEN_LEGS_FROM = 180;

    /**
     * Voltage from a leg to neutral (V): half of the nominal one for two legs that have it between them, such as 120 V of 240 V; with one
     * or three legs the nominal one is to neutral.
     */
    static double legVolts(double acVolts, int legs) {
        return legs == 2 && acVolts >= BETWEEN_LEGS_FROM ? acVolts / 2 : acVolts;
    }

    /** Voltage of a leg to neutral (V) while so much is drawn from it (W); 0 where the line cannot carry it. */
    default double legVoltsUnder(double watts, double acVolts) {
        return legVolts(acVolts, legs());
    }

    /** Its frequency (Hz) while so much is drawn from all its legs (W); NaN where nobody has told it. */
    double hertzUnder(double watts);

    /** What one leg can give (A). */
    default double legAmperes(double acVolts) {
        return legWatts(acVolts) / legVolts(acVolts, legs());
    }

    /**
     * An engine generator. It runs while an output that drives it asks for it.
     *
     * @param id its name in references
     * @param name what the crew calls it
     * @param ratedWatts of all legs together (W), above 0 to 1,000,000
     * @param legs 1 to 3; each carries its part and no more
     * @param startSeconds from the call to a steady voltage (s), 0 to 600
     * @param leastLoadFraction below this share of its rating it runs to its harm (fraction), 0 to 0.9
     * @param coolDownSeconds it runs on unloaded when no longer called (s), 0 to 3600
     * @param failureFraction of starts that fail (fraction), 0 to 1
     * @param retrySeconds between two tries (s), 1 to 3600
     * @param mostTries until it gives up and waits for a hand, 1 to 20
     * @param idleLitresPerHour fuel at no load (l/h), 0 to 200
     * @param litresPerKilowattHour fuel for each unit beyond that (l/kWh), 0 to 5
     * @param frequency at which it turns, by its load; absent where nobody has looked
     */
    record Generator(
            String id,
            String name,
            double ratedWatts,
            int legs,
            double startSeconds,
            double leastLoadFraction,
            double coolDownSeconds,
            double failureFraction,
            double retrySeconds,
            int mostTries,
            double idleLitresPerHour,
            double litresPerKilowattHour,
            Optional<Frequency> frequency)
            implements AcSource, GeneratorWith {
        public Generator {
            Bounds.id("id", id);
            Bounds.name("name", name);
            Bounds.above("ratedWatts", ratedWatts, 0, 1e6);
            Bounds.within("legs", legs, "legs", 1, 3);
            Bounds.within("startSeconds", startSeconds, 0, 600);
            Bounds.within("leastLoadFraction", leastLoadFraction, 0, 0.9);
            Bounds.within("coolDownSeconds", coolDownSeconds, 0, 3600);
            Bounds.within("failureFraction", failureFraction, 0, 1);
            Bounds.within("retrySeconds", retrySeconds, 1, 3600);
            Bounds.within("mostTries", mostTries, "tries", 1, 20);
            Bounds.within("idleLitresPerHour", idleLitresPerHour, 0, 200);
            Bounds.within("litresPerKilowattHour", litresPerKilowattHour, 0, 5);
            frequency = Bounds.orEmpty(frequency);
        }

        @Override
        public double hertzUnder(double watts) {
            return frequency.map(one -> one.under(watts / ratedWatts)).orElse(Double.NaN);
        }

        @Override
        public double legWatts(double acVolts) {
            return ratedWatts / legs;
        }
    }

    /**
     * How fast a governor lets an engine turn: a straight line between nothing drawn and its rating.
     *
     * @param noLoadHertz with nothing drawn (Hz), 40 to 70
     * @param loadedHertz at its rating (Hz), 40 to 70
     */
    record Frequency(double noLoadHertz, double loadedHertz) {
        public Frequency {
            Bounds.within("noLoadHertz", noLoadHertz, 40, 70);
            Bounds.within("loadedHertz", loadedHertz, 40, 70);
        }

        /** At a share of its rating (fraction). */
        double under(double share) {
            return noLoadHertz + (loadedHertz - noLoadHertz) * share;
        }
    }

    /**
     * A feeder from a grid, with outages and prices.
     *
     * @param id its name in references
     * @param name what the crew calls it
     * @param breakerAmperes of each leg (A), above 0 to 1000
     * @param legs 1 to 3
     * @param outagesPerYear mean number (1/a), 0 to 5000; seeded
     * @param meanOutageSeconds mean length (s), 1 to 1e6
     * @param exportWatts the most it takes back (W), 0 to 1e6
     * @param bands prices by the clock, 0 to 20; the first that holds counts, outside all nothing is paid
     * @param volts of a leg to neutral with nothing drawn (V), 50 to 400; absent for the inverter's nominal one
     * @param legOhms of each leg out and back, from where its voltage is stiff (Ω), 0 to 20; absent for a stiff one
     * @param meter where it comes in, by which an inverter knows what goes out; absent for none
     * @param hertz its frequency (Hz), 40 to 70; absent for the one it should have
     */
    record Feeder(
            String id,
            String name,
            double breakerAmperes,
            int legs,
            double outagesPerYear,
            double meanOutageSeconds,
            double exportWatts,
            List<PriceBand> bands,
            Optional<Double> volts,
            Optional<Double> legOhms,
            Optional<ExportMeter> meter,
            Optional<Double> hertz)
            implements AcSource, FeederWith {
        public Feeder {
            Bounds.id("id", id);
            Bounds.name("name", name);
            Bounds.above("breakerAmperes", breakerAmperes, 0, 1000);
            Bounds.within("legs", legs, "legs", 1, 3);
            Bounds.within("outagesPerYear", outagesPerYear, 0, 5000);
            Bounds.within("meanOutageSeconds", meanOutageSeconds, 1, 1e6);
            Bounds.within("exportWatts", exportWatts, 0, 1e6);
            bands = Bounds.orNone(bands);
            Bounds.within("bands", bands.size(), "bands", 0, 20);
            volts = Bounds.optional("volts", volts, 50, 400);
            legOhms = Bounds.optional("legOhms", legOhms, 0, 20);
            meter = Bounds.orEmpty(meter);
            hertz = Bounds.optional("hertz", hertz, 40, 70);
        }

        /** A stiff one at the nominal voltage. */
        public Feeder(
                String id,
                String name,
                double breakerAmperes,
                int legs,
                double outagesPerYear,
                double meanOutageSeconds,
                double exportWatts,
                List<PriceBand> bands) {
            this(
                    id,
                    name,
                    breakerAmperes,
                    legs,
                    outagesPerYear,
                    meanOutageSeconds,
                    exportWatts,
                    bands,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
        }

        @Override
        public double hertzUnder(double watts) {
            return hertz.orElse(Double.NaN);
        }

        @Override
        public double legVoltsUnder(double watts, double acVolts) {
            double stiff = volts.orElse(AcSource.legVolts(acVolts, legs));
            double root = stiff * stiff - 4 * legOhms.orElse(0.0) * watts;
            return root < 0 ? 0 : (stiff + Math.sqrt(root)) / 2;
        }

        @Override
        public double legWatts(double acVolts) {
            return breakerAmperes * AcSource.legVolts(acVolts, legs);
        }
    }

    /**
     * A meter where a feeder comes in, that tells an inverter what goes out.
     *
     * @param reversed whether it is in the wrong way round, and reads what goes out as what comes in
     * @param blindToAcArrays whether what arrays on the AC side bring does not go through it
     * @param blindToLoads whether what loads before the inverter take does not go through it; absent for no
     */
    record ExportMeter(boolean reversed, boolean blindToAcArrays, Optional<Boolean> blindToLoads) {
        public ExportMeter {
            blindToLoads = Bounds.orEmpty(blindToLoads);
        }

        /** One that sees the loads before the inverter. */
        public ExportMeter(boolean reversed, boolean blindToAcArrays) {
            this(reversed, blindToAcArrays, Optional.empty());
        }
    }

    /**
     * A price that holds at some hours.
     *
     * @param when the hours
     * @param importPerKilowattHour paid for energy taken (currency/kWh), −100 to 1000
     * @param exportPerKilowattHour got for energy given back (currency/kWh), −100 to 1000
     */
    record PriceBand(DailySpan when, double importPerKilowattHour, double exportPerKilowattHour) {
        public PriceBand {
            Bounds.present("when", when);
            Bounds.within("importPerKilowattHour", importPerKilowattHour, -100, 1000);
            Bounds.within("exportPerKilowattHour", exportPerKilowattHour, -100, 1000);
        }
    }
}
