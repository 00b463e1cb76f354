package sparen.result;

import java.util.Optional;

/**
 * What the battery went through in a run.
 *
 * @param equivalentFullCycles by rainflow counting, ASTM E1049: number of full cycles that move as much charge
 * @param deepCycles counted cycles of half the capacity or more
 * @param secondsBelow20 state of charge below 20 % (s)
 * @param secondsBelow50 below 50 % (s)
 * @param secondsFull at {@link sparen.quantity.Standard#FULL_CHARGE} or more (s)
 * @param secondsCold battery below 0 °C (s)
 * @param secondsHot battery above 40 °C (s)
 * @param lowestCelsius battery temperature (°C)
 * @param highestCelsius battery temperature (°C)
 * @param pathOpenings how often a BMS opened a path
 * @param highestGasAmperes most of the charging current that made gas, whole bank (A)
 * @param secondsUnventilated it gassed more than a vented battery on float does while no output that ventilates by gassing was closed (s)
 * @param reportedAtEnd what the first monitor reports at the end (fraction); absent where there is none
 */
public record BatteryFigures(
        double equivalentFullCycles,
        double deepCycles,
        double secondsBelow20,
        double secondsBelow50,
        double secondsFull,
        double secondsCold,
        double secondsHot,
        double lowestCelsius,
        double highestCelsius,
        int pathOpenings,
        double highestGasAmperes,
        double secondsUnventilated,
        Optional<Double> reportedAtEnd) {}
