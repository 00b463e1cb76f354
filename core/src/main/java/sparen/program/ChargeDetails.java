package sparen.program;

import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.Standard;

/**
 * Settings that only some chargers have. What is absent is off.
 *
 * @param maximumAmperes current setting below what its hardware can give (A), above 0 to 1000
 * @param absorptionEnd what ends absorption before its time
 * @param equalization a charge above absorption now and then
 * @param compensation of levels by battery temperature
 * @param temperatureLimits outside which it does not charge
 * @param overVoltage a second line: charging stopped above, allowed again below
 * @param repeatAbsorption in a long float
 * @param afterAbsorption absent for {@link After#FLOAT}
 * @param startInFloatVolts a charger that wakes to a battery rested at or above this begins in float (V), 0 to 1000
 * @param longestCycleSeconds total time of bulk and absorption after which it goes on to float whatever happened (s), 60 to 1e6
 * @param resumeVolts for a two-level controller without stages: it stops at the absorption voltage and resumes at or below this (V),
 *     0 to 1000
 * @param bms how it follows the battery's requests
 * @param guessesNominalVolts whether it guesses its nominal voltage at power-up; absent for no
 */
public record ChargeDetails(
        Optional<Double> maximumAmperes,
        Optional<AbsorptionEnd> absorptionEnd,
        Optional<Equalization> equalization,
        Optional<Compensation> compensation,
        Optional<TemperatureLimits> temperatureLimits,
        Optional<OverVoltage> overVoltage,
        Optional<RepeatAbsorption> repeatAbsorption,
        Optional<After> afterAbsorption,
        Optional<Double> startInFloatVolts,
        Optional<Double> longestCycleSeconds,
        Optional<Double> resumeVolts,
        Optional<BmsRequests> bms,
        Optional<Boolean> guessesNominalVolts)
        implements ChargeDetailsWith {
    /** None of them. */
    public static final ChargeDetails NONE = new ChargeDetails(
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());

    /** What follows absorption. */
    public enum After {
        /** The float voltage is held. */
        FLOAT,
        /** Nothing, until the recharge level. */
        OFF
    }

    /**
     * What ends absorption before its time, whichever comes first.
     *
     * @param tailAmperes the current has been at or below this (A), 0 to 1000
     * @param whose current that is
     * @param tailSeconds for so long (s), 0 to 86,400
     * @param inCloud what becomes of the time while the voltage is not held
     * @param timesBulk absorption lasts this many times as long as bulk did, the absorption time at most (×), 0.01 to 100
     */
    public record AbsorptionEnd(
            Optional<Double> tailAmperes,
            Whose whose,
            double tailSeconds,
            InCloud inCloud,
            Optional<Double> timesBulk) {
        /** Whose current is meant by the tail current. */
        public enum Whose {
            /** The charger's own output, loads included. */
            OWN_OUTPUT,
            /** What flows into the battery. */
            NET_AT_SHUNT
        }

        /** What the absorption timer does while a cloud keeps the voltage down. */
        public enum InCloud {
            PAUSES,
            STARTS_ANEW
        }

        public AbsorptionEnd {
            tailAmperes = Bounds.optional("tailAmperes", tailAmperes, 0, 1000);
            Bounds.present("whose", whose);
            Bounds.within("tailSeconds", tailSeconds, 0, 86_400);
            Bounds.present("inCloud", inCloud);
            timesBulk = Bounds.optional("timesBulk", timesBulk, "×", 0.01, 100);
        }
    }

    /**
     * Equalization by the calendar: begun after an absorption when it is due.
     *
     * @param volts held (V), 0 to 1000
     * @param seconds time at that voltage (s), 0 to 86,400
     * @param everyDays between two (d), 1 to 400
     * @param giveUpSeconds after which it is broken off though the time is not up (s), seconds to 1e6
     * @param sinceLastDays the last was so long ago (d), 0 to 1000; everyDays or more for one that is due now; absent for one just done
     */
    public record Equalization(
            double volts, double seconds, double everyDays, double giveUpSeconds, Optional<Double> sinceLastDays) {
        public Equalization {
            Bounds.within("volts", volts, 0, 1000);
            Bounds.within("seconds", seconds, 0, 86_400);
            Bounds.within("everyDays", everyDays, 1, 400);
            Bounds.within("giveUpSeconds", giveUpSeconds, seconds, 1e6);
            sinceLastDays = Bounds.optional("sinceLastDays", sinceLastDays, 0, 1000);
        }

        /** One that was just done. */
        public Equalization(double volts, double seconds, double everyDays, double giveUpSeconds) {
            this(volts, seconds, everyDays, giveUpSeconds, Optional.empty());
        }
    }

    /** For how long nothing has been equalized at the beginning (s). */
    public double sinceEqualizationSeconds() {
        return Standard.DAY * equalization.flatMap(Equalization::sinceLastDays).orElse(0.0);
    }

    /**
     * Temperature compensation about 25 °C.
     *
     * @param voltsPerKelvinPerCell (V/K), −0.01 to 0; −0.005 is usual for lead-acid
     * @param ceilingVolts regulation is never lifted above this (V), 0 to 1000
     * @param floorVolts and never lowered below this (V), 0 to ceilingVolts
     * @param compensatesRecharge whether the recharge level follows too
     * @param sensorAtBattery whether it measures at the battery; absent for yes
     */
    public record Compensation(
            double voltsPerKelvinPerCell,
            double ceilingVolts,
            double floorVolts,
            boolean compensatesRecharge,
            Optional<Boolean> sensorAtBattery) {
        public Compensation {
            Bounds.within("voltsPerKelvinPerCell", voltsPerKelvinPerCell, -0.01, 0);
            Bounds.within("ceilingVolts", ceilingVolts, 0, 1000);
            Bounds.within("floorVolts", floorVolts, 0, ceilingVolts);
            sensorAtBattery = Bounds.orEmpty(sensorAtBattery);
        }

        /** One whose sensor is at the battery. */
        public Compensation(
                double voltsPerKelvinPerCell, double ceilingVolts, double floorVolts, boolean compensatesRecharge) {
            this(voltsPerKelvinPerCell, ceilingVolts, floorVolts, compensatesRecharge, Optional.empty());
        }

        /** A level (V at 25 °C) of so many cells as it is at a temperature (°C), with ceiling and floor. */
        public double volts(double level, int cells, double celsius) {
            double moved = level + voltsPerKelvinPerCell * cells * (celsius - Standard.BATTERY_CELSIUS);
            return Math.max(floorVolts, Math.min(ceilingVolts, moved));
        }
    }

    /**
     * Battery temperatures outside which it does not charge; inside by the hysteresis it charges again.
     *
     * @param coldCelsius (°C), −60 to 60
     * @param hotCelsius (°C), coldCelsius to 100
     * @param hysteresisKelvin (K), 0 to 20
     */
    public record TemperatureLimits(double coldCelsius, double hotCelsius, double hysteresisKelvin) {
        public TemperatureLimits {
            Bounds.within("coldCelsius", coldCelsius, -60, 60);
            Bounds.within("hotCelsius", hotCelsius, coldCelsius, 100);
            Bounds.within("hysteresisKelvin", hysteresisKelvin, 0, 20);
        }
    }

    /**
     * Over-voltage stop and release at its own terminals.
     *
     * @param stopVolts (V), 0 to 1000
     * @param releaseVolts (V), 0 to stopVolts
     */
    public record OverVoltage(double stopVolts, double releaseVolts) {
        public OverVoltage {
            Bounds.within("stopVolts", stopVolts, 0, 1000);
            Bounds.within("releaseVolts", releaseVolts, 0, stopVolts);
        }
    }

    /**
     * Absorption once more in a long float.
     *
     * @param everyDays of float (d), 0.5 to 100
     * @param seconds of absorption then (s), 0 to 86,400
     */
    public record RepeatAbsorption(double everyDays, double seconds) {
        public RepeatAbsorption {
            Bounds.within("everyDays", everyDays, 0.5, 100);
            Bounds.within("seconds", seconds, 0, 86_400);
        }
    }

    /**
     * Following a battery's requests for voltage and current. The lower of request and own setting wins.
     *
     * @param whenTalkStops what then
     * @param silentSeconds after which the talk counts as stopped (s), 1 to 3600
     */
    public record BmsRequests(WhenTalkStops whenTalkStops, double silentSeconds) implements BmsRequestsWith {
        /** What a charger does when the battery no longer talks. */
        public enum WhenTalkStops {
            /** Goes on with the last request. */
            HOLD,
            /** Goes by its own settings. */
            OWN_SETTINGS,
            /** Stops charging. */
            STOP
        }

        public BmsRequests {
            Bounds.present("whenTalkStops", whenTalkStops);
            Bounds.within("silentSeconds", silentSeconds, 1, 3600);
        }
    }

    public ChargeDetails {
        maximumAmperes = Bounds.optional("maximumAmperes", maximumAmperes, 0.01, 1000);
        absorptionEnd = Bounds.orEmpty(absorptionEnd);
        equalization = Bounds.orEmpty(equalization);
        compensation = Bounds.orEmpty(compensation);
        temperatureLimits = Bounds.orEmpty(temperatureLimits);
        overVoltage = Bounds.orEmpty(overVoltage);
        repeatAbsorption = Bounds.orEmpty(repeatAbsorption);
        afterAbsorption = Bounds.orEmpty(afterAbsorption);
        startInFloatVolts = Bounds.optional("startInFloatVolts", startInFloatVolts, 0, 1000);
        longestCycleSeconds = Bounds.optional("longestCycleSeconds", longestCycleSeconds, 60, 1e6);
        resumeVolts = Bounds.optional("resumeVolts", resumeVolts, 0, 1000);
        guessesNominalVolts = Bounds.orEmpty(guessesNominalVolts);
        bms = Bounds.orEmpty(bms);
    }
}
